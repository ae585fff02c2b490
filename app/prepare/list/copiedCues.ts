import { z } from "zod";
import { type CueDoc, cueDocSchema } from "../../../core/rundown/cueDoc.ts";
import { readCopied } from "../../ui/readCopied.ts";

const FORMAT = "vesko cues 1";

/** Cues as they are copied: text, so that they can be pasted into another event, or sent to somebody. */
const copiedSchema = z.strictObject({
  format: z.literal(FORMAT),
  cues: z.array(cueDocSchema).min(1).max(500),
});

export const textOfCues = (cues: readonly CueDoc[]): string =>
  cues.length === 0 ? "" : JSON.stringify({ format: FORMAT, cues }, null, 1);

export const cuesIn = (text: string): readonly CueDoc[] => readCopied(text, copiedSchema)?.cues ?? [];
