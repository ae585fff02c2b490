import { z } from "zod";
import { t } from "../../language/t.ts";
import { nameSchema } from "../../names/name.ts";
import type { WhenKind } from "./whenKind.ts";

const schema = z.strictObject({
  kind: z.literal("cue"),
  cueId: nameSchema(60),
  does: z.enum(["comes", "leaves"]).default("comes"),
});
type When = z.infer<typeof schema>;

export const cueWhen: WhenKind<When> = {
  schema,
  name: t`a cue is taken or leaves`,
  sets: (when, happening) =>
    happening.kind === "cue" && happening.cueId === when.cueId && happening.isOn === (when.does === "comes"),
  ends: (when, happening) =>
    happening.kind === "cue" && happening.cueId === when.cueId && happening.isOn !== (when.does === "comes"),
  endSays: ({ does }) => (does === "comes" ? t`that cue leaves` : t`that cue is on air again`),
  says: ({ cueId, does }, names) => `“${names.cue(cueId)}” ${does === "comes" ? t`is taken` : t`leaves`}`,
};
