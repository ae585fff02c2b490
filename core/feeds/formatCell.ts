import { z } from "zod";
import { parseNumber } from "../figures/number.ts";
import { readDate, readTime } from "./readDate.ts";

/** How a value is written. @see ECMA-402: Intl.NumberFormat, Intl.DateTimeFormat */
export const cellFormatSchema = z.discriminatedUnion("kind", [
  z.strictObject({
    kind: z.literal("number"),
    /** "short" is compact: 12.5K. */
    style: z.enum(["plain", "short", "percent", "currency"]).default("plain"),
    /** Null: as many as are typed. */
    decimals: z.number().int().min(0).max(6).nullable().default(null),
    /** ISO 4217, for a currency. */
    currency: z
      .string()
      .regex(/^[A-Z]{3}$/)
      .default("EUR"),
  }),
  z.strictObject({ kind: z.literal("date"), style: z.enum(["weekday", "short", "medium", "long", "full"]) }),
  z.strictObject({ kind: z.literal("time"), style: z.enum(["short", "medium"]) }),
  z.strictObject({ kind: z.literal("letters"), style: z.enum(["upper", "lower"]) }),
]);
export type CellFormat = z.infer<typeof cellFormatSchema>;

/** A value in a format; one that the format does not suit stays as it stands. @param language BCP 47 */
export function formatCell(value: string, format: CellFormat | undefined, language: string): string {
  switch (format?.kind) {
    case undefined:
      return value;
    case "number": {
      const number = parseNumber(value);
      if (!number) return value;
      return `${number.before}${numberFormat(format, number.decimals, language).format(number.value)}${number.after}`;
    }
    case "date": {
      const date = readDate(value);
      if (date === undefined) return value;
      const how =
        format.style === "weekday" ? ({ weekday: "long" } as const) : ({ dateStyle: format.style } as const);
      return new Intl.DateTimeFormat(language, { ...how, timeZone: "UTC" }).format(date);
    }
    case "time": {
      const time = readDate(value) ?? readTime(value);
      if (time === undefined) return value;
      return new Intl.DateTimeFormat(language, { timeStyle: format.style, timeZone: "UTC" }).format(time);
    }
    case "letters":
      return format.style === "upper" ? value.toLocaleUpperCase(language) : value.toLocaleLowerCase(language);
  }
}

function numberFormat(
  { style, decimals, currency }: Extract<CellFormat, { kind: "number" }>,
  typedDecimals: number,
  language: string,
): Intl.NumberFormat {
  const places = style === "plain" ? (decimals ?? typedDecimals) : decimals;
  return new Intl.NumberFormat(language, {
    ...(style === "percent" && { style: "percent" }),
    ...(style === "currency" && { style: "currency", currency }),
    ...(style === "short" && { notation: "compact" }),
    ...(places !== null && { minimumFractionDigits: places, maximumFractionDigits: places }),
  });
}
