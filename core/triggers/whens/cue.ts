import { z } from "zod";
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
  name: "a cue is taken or leaves",
  sets: (when, happening) =>
    happening.kind === "cue" && happening.cueId === when.cueId && happening.isOn === (when.does === "comes"),
  ends: (when, happening) =>
    happening.kind === "cue" && happening.cueId === when.cueId && happening.isOn !== (when.does === "comes"),
  endSays: ({ does }) => (does === "comes" ? "that cue leaves" : "that cue is on air again"),
  says: ({ cueId, does }, names) => `“${names.cue(cueId)}” ${does === "comes" ? "is taken" : "leaves"}`,
};
