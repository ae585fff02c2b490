import { z } from "zod";
import { t } from "../../language/t.ts";
import { nameSchema } from "../../names/name.ts";
import type { WhenKind } from "./whenKind.ts";

const schema = z.strictObject({ kind: z.literal("countdown"), cueId: nameSchema(60) });
type When = z.infer<typeof schema>;

export const countdownWhen: WhenKind<When> = {
  schema,
  name: t`a countdown ends`,
  sets: (when, happening) => happening.kind === "countdown" && happening.cueId === when.cueId,
  ends: () => false,
  endSays: () => null,
  says: ({ cueId }, names) => t`the countdown of “${names.cue(cueId)}” is at zero`,
};
