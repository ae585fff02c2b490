import type { z } from "zod";
import type { Happening } from "../happening.ts";
import type { TriggerNames } from "../triggerNames.ts";

/** A kind of thing that sets a trigger off. */
export interface WhenKind<W> {
  readonly schema: z.ZodType<W>;
  /** As a menu has it: "a source comes or leaves". */
  readonly name: string;
  /** Whether this is what it waits for. */
  readonly sets: (when: W, happening: Happening) => boolean;
  /** Whether this is the end of what set it off: what it brought may leave with it. */
  readonly ends: (when: W, happening: Happening) => boolean;
  /** How its end reads: "it leaves program"; null: it has none, being over at once. */
  readonly endSays: (when: W) => string | null;
  /** As a part of a sentence after "When ". */
  readonly says: (when: W, names: TriggerNames) => string;
}
