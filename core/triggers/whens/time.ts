import { z } from "zod";
import { nextTimeOfDay } from "../../figures/clockText.ts";
import { t } from "../../language/t.ts";
import type { Happening } from "../happening.ts";
import type { WhenKind } from "./whenKind.ts";

/** A time of day, to the second. */
export const secondOfDaySchema = z.string().regex(/^([01]\d|2[0-3]):[0-5]\d:[0-5]\d$/);

const schema = z.strictObject({ kind: z.literal("time"), at: secondOfDaySchema });
type When = z.infer<typeof schema>;

/** When that time of day came, server time; undefined: it was not in this. */
export function timeThatCame({ at }: When, happening: Happening): number | undefined {
  if (happening.kind !== "time") return undefined;
  const { sinceMs, untilMs, timeZone } = happening;
  const [hours = 0, minutes = 0, seconds = 0] = at.split(":").map(Number);
  const cameMs = nextTimeOfDay(sinceMs, { hours, minutes, seconds }, timeZone);
  return cameMs <= untilMs ? cameMs : undefined;
}

export const timeWhen: WhenKind<When> = {
  schema,
  name: t`a time of day comes`,
  sets: (when, happening) => timeThatCame(when, happening) !== undefined,
  ends: () => false,
  endSays: () => null,
  says: ({ at }) => t`it is ${at}`,
};
