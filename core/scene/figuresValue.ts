import { z } from "zod";
import { type FiguresValue, isCountable } from "../figures/figures.ts";
import { parseNumber } from "../figures/number.ts";
import { objectSubject } from "../findings/finding.ts";
import { notANumber } from "../findings/kinds/notANumber.ts";
import { uncountable } from "../findings/kinds/uncountable.ts";
import { t } from "../language/t.ts";
import { measureSchema, type Resolved } from "../names/measure.ts";
import type { ObjectContext } from "./objectContext.ts";
import { fieldNameSchema } from "./properties.ts";

/** An IANA time zone; null: the show's own. */
const timeZoneSchema = z
  .string()
  .max(60)
  .refine((zone) => isTimeZone(zone), { message: t`no time zone has this name` })
  .nullable()
  .default(null);

function isTimeZone(zone: string): boolean {
  try {
    new Intl.DateTimeFormat("en", { timeZone: zone });
    return true;
  } catch {
    return false;
  }
}

/** What a text or a gauge that the time decides shows. */
export const figuresShowsSchema = z.discriminatedUnion("kind", [
  z.strictObject({
    kind: z.literal("clock"),
    format: z.enum(["hm", "hms", "hm12", "hms12"]).default("hm"),
    timeZone: timeZoneSchema,
  }),
  z.strictObject({
    kind: z.literal("countdown"),
    field: fieldNameSchema,
    atZero: z.enum(["hold", "blank", "countUp"]).default("hold"),
    timeZone: timeZoneSchema,
  }),
  z.strictObject({
    kind: z.literal("countUp"),
    /** What it begins with, seconds. */
    fromSeconds: measureSchema(0, 20_000).default(0),
  }),
  /** A number that counts up to its value. */
  z.strictObject({
    kind: z.literal("number"),
    field: fieldNameSchema,
    durationMs: measureSchema(0, 20_000).default(0),
  }),
]);
type Shows = z.infer<typeof figuresShowsSchema>;
/** As it may be written. */
export type FiguresShows = z.input<typeof figuresShowsSchema>;

/** The field that it counts; null: it shows the time alone. */
export const shownField = (shows: Shows): string | null => ("field" in shows ? shows.field : null);

export function figuresValueOf(
  shows: Resolved<Shows>,
  objectId: string,
  context: ObjectContext,
): FiguresValue {
  const { lookup } = context;
  switch (shows.kind) {
    case "clock":
      return { kind: "clock", format: shows.format, timeZone: shows.timeZone ?? context.timeZone };
    case "countdown": {
      const to = lookup.value(shows.field).trim();
      if (to !== "" && !isCountable(to))
        context.report(uncountable(objectSubject(objectId), { text: to.slice(0, 60) }));
      const timeZone = shows.timeZone ?? context.timeZone;
      return { kind: "countdown", to, timeZone, atZero: shows.atZero };
    }
    case "countUp":
      return { kind: "countUp", fromSeconds: shows.fromSeconds };
    case "number":
      return numberValue(lookup.value(shows.field), shows.durationMs, objectId, context);
  }
}

/** A field's number, counted up from nothing; what is no number is shown as typed, and told. */
export function numberValue(
  typed: string,
  durationMs: number,
  objectId: string,
  context: Pick<ObjectContext, "report">,
): FiguresValue {
  const number = parseNumber(typed);
  if (!number) {
    if (typed.trim() !== "")
      context.report(notANumber(objectSubject(objectId), { text: typed.trim().slice(0, 60) }));
    return { kind: "fixed", text: typed.trim() };
  }
  const { value, decimals, before, after } = number;
  return {
    kind: "number",
    from: 0,
    to: value,
    decimals,
    before,
    after,
    easing: "ease-out",
    delayMs: 0,
    durationMs,
  };
}
