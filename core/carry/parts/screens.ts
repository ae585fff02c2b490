import { z } from "zod";
import { t } from "../../language/t.ts";
import { nameSchema } from "../../names/name.ts";
import { outputKind } from "../../stored/kinds/output.ts";
import { planKind } from "../../stored/kinds/plan.ts";
import type { Part } from "../part.ts";
import { storedDoc } from "../storedDoc.ts";

const outputSchema = z.strictObject({ id: nameSchema(60), doc: storedDoc(outputKind) });
export type CarriedOutput = z.infer<typeof outputSchema>;
const planSchema = z.strictObject({ id: nameSchema(60), doc: storedDoc(planKind) });
export type CarriedPlan = z.infer<typeof planSchema>;

export const outputPart: Part<CarriedOutput> = {
  one: t`screen`,
  many: t`screens`,
  schema: outputSchema,
  nameOf: ({ doc }) => doc.name,
  aboutOf: ({ doc: { widthPx, heightPx } }) => `${widthPx}×${heightPx}`,
  differences: ({ doc: here }, { doc: there }) => [
    ...(here.name !== there.name ? [t`called “${there.name}” there`] : []),
    ...(here.widthPx !== there.widthPx || here.heightPx !== there.heightPx
      ? [t`${there.widthPx}×${there.heightPx} there, ${here.widthPx}×${here.heightPx} here`]
      : []),
    ...otherSettings(here, there, ["name", "widthPx", "heightPx"]),
  ],
};

export const planPart: Part<CarriedPlan> = {
  one: t`screen plan`,
  many: t`screen plans`,
  schema: planSchema,
  nameOf: ({ doc }) => doc.name,
  aboutOf: ({ doc }) => {
    const count = Object.keys(doc.outputs).length;
    return `${count} ${count === 1 ? t`screen` : t`screens`}`;
  },
  differences: ({ doc: here }, { doc: there }) => [
    ...(here.name !== there.name ? [t`called “${there.name}” there`] : []),
    ...(JSON.stringify(here.outputs) !== JSON.stringify(there.outputs)
      ? [t`other layers or outfits on its screens there`]
      : []),
  ],
};

const otherSettings = (here: object, there: object, told: readonly string[]): string[] => {
  const rest = (doc: object) => JSON.stringify(Object.entries(doc).filter(([key]) => !told.includes(key)));
  return rest(here) === rest(there) ? [] : [t`other settings there`];
};
