import { z } from "zod";
import { t } from "../language/t.ts";
import { nameSchema } from "../names/name.ts";
import { BUS_WORDS, BUSES } from "../venue/source.ts";
import type { TriggerNames } from "./triggerNames.ts";
import { secondOfDaySchema } from "./whens/time.ts";

/** What must hold for a trigger to act. */
export const conditionSchema = z.discriminatedUnion("kind", [
  z.strictObject({ kind: z.literal("plan"), planId: nameSchema(60) }),
  z.strictObject({ kind: z.literal("onAir"), cueId: nameSchema(60), isOn: z.boolean().default(true) }),
  z.strictObject({
    kind: z.literal("source"),
    sourceId: nameSchema(60),
    bus: z.enum(BUSES).default("program"),
    isOn: z.boolean().default(true),
  }),
  z.strictObject({ kind: z.literal("empty"), layerId: nameSchema(40) }),
  /** From the first to the second time of day; over midnight when the second is the earlier. */
  z.strictObject({ kind: z.literal("between"), from: secondOfDaySchema, to: secondOfDaySchema }),
]);
export type Condition = z.infer<typeof conditionSchema>;

/** As a part of a sentence after "only while ". */
export function sayCondition(condition: Condition, names: TriggerNames): string {
  switch (condition.kind) {
    case "plan":
      return t`the plan is “${names.plan(condition.planId)}”`;
    case "onAir":
      return t`“${names.cue(condition.cueId)}” is ${condition.isOn ? "" : t`not `}on air`;
    case "source":
      return t`“${names.source(condition.sourceId)}” is ${condition.isOn ? "" : t`not `}on ${BUS_WORDS[condition.bus]}`;
    case "empty":
      return t`${names.layer(condition.layerId)} is empty`;
    case "between":
      return t`it is between ${condition.from} and ${condition.to}`;
  }
}
