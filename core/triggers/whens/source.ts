import { z } from "zod";
import { t } from "../../language/t.ts";
import { nameSchema } from "../../names/name.ts";
import { BUS_WORDS, BUSES } from "../../venue/source.ts";
import type { WhenKind } from "./whenKind.ts";

const schema = z.strictObject({
  kind: z.literal("source"),
  sourceId: nameSchema(60),
  bus: z.enum(BUSES).default("program"),
  does: z.enum(["comes", "leaves"]).default("comes"),
});
type When = z.infer<typeof schema>;

export const sourceWhen: WhenKind<When> = {
  schema,
  name: t`a source comes or leaves`,
  sets: (when, happening) =>
    happening.kind === "source" &&
    happening.sourceId === when.sourceId &&
    happening.bus === when.bus &&
    happening.isOn === (when.does === "comes"),
  ends: (when, happening) =>
    happening.kind === "source" &&
    happening.sourceId === when.sourceId &&
    happening.bus === when.bus &&
    happening.isOn !== (when.does === "comes"),
  endSays: ({ bus, does }) =>
    does === "comes" ? t`it leaves ${BUS_WORDS[bus]}` : t`it is on ${BUS_WORDS[bus]} again`,
  says: ({ sourceId, bus, does }, names) =>
    `“${names.source(sourceId)}” ${does === "comes" ? t`comes to` : t`leaves`} ${BUS_WORDS[bus]}`,
};
