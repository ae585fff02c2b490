import type { CellFormat } from "../../../../core/feeds/formatCell.ts";

type Offered = { readonly label: string; readonly format?: CellFormat };
const number = (
  label: string,
  style: Extract<CellFormat, { kind: "number" }>["style"],
  decimals: number | null,
  currency = "EUR",
): Offered => ({ label, format: { kind: "number", style, decimals, currency } });

/** Ways in which a value can be written, as the venue's language has them. */
export const FORMATS_OFFERED: Readonly<Record<string, Offered>> = {
  asRead: { label: "as it is read" },
  number: number("number", "plain", null),
  whole: number("whole number", "plain", 0),
  oneDecimal: number("number, one decimal", "plain", 1),
  twoDecimals: number("number, two decimals", "plain", 2),
  short: number("short number (12.5K)", "short", null),
  percent: number("share as %", "percent", 0),
  euro: number("euro", "currency", null, "EUR"),
  pound: number("pounds", "currency", null, "GBP"),
  dollar: number("US dollars", "currency", null, "USD"),
  weekday: { label: "day of the week", format: { kind: "date", style: "weekday" } },
  date: { label: "date", format: { kind: "date", style: "long" } },
  shortDate: { label: "date, short", format: { kind: "date", style: "short" } },
  time: { label: "time of day", format: { kind: "time", style: "short" } },
  upper: { label: "capitals", format: { kind: "letters", style: "upper" } },
  lower: { label: "small letters", format: { kind: "letters", style: "lower" } },
};

/** Which of them a binding has; "as it is read" for one that is not among them. */
export const formatName = (format: CellFormat | undefined): string =>
  Object.entries(FORMATS_OFFERED).find(
    ([, offered]) => JSON.stringify(offered.format) === JSON.stringify(format),
  )?.[0] ?? "asRead";
