import type { CellFormat } from "../../../../core/feeds/formatCell.ts";
import { t } from "../../../../core/language/t.ts";

type Offered = { readonly label: string; readonly format?: CellFormat };
const number = (
  label: string,
  style: Extract<CellFormat, { kind: "number" }>["style"],
  decimals: number | null,
  currency = "EUR",
): Offered => ({ label, format: { kind: "number", style, decimals, currency } });

/** Ways in which a value can be written, as the venue's language has them. */
export const FORMATS_OFFERED: Readonly<Record<string, Offered>> = {
  asRead: { label: t`as it is read` },
  number: number("number", "plain", null),
  whole: number(t`whole number`, "plain", 0),
  oneDecimal: number(t`number, one decimal`, "plain", 1),
  twoDecimals: number(t`number, two decimals`, "plain", 2),
  short: number(t`short number (12.5K)`, "short", null),
  percent: number(t`share as %`, "percent", 0),
  euro: number("euro", "currency", null, "EUR"),
  pound: number("pounds", "currency", null, "GBP"),
  dollar: number(t`US dollars`, "currency", null, "USD"),
  weekday: { label: t`day of the week`, format: { kind: "date", style: "weekday" } },
  date: { label: t`date`, format: { kind: "date", style: "long" } },
  shortDate: { label: t`date, short`, format: { kind: "date", style: "short" } },
  time: { label: t`time of day`, format: { kind: "time", style: "short" } },
  upper: { label: t`capitals`, format: { kind: "letters", style: "upper" } },
  lower: { label: t`small letters`, format: { kind: "letters", style: "lower" } },
};

/** Which of them a binding has; "as it is read" for one that is not among them. */
export const formatName = (format: CellFormat | undefined): string =>
  Object.entries(FORMATS_OFFERED).find(
    ([, offered]) => JSON.stringify(offered.format) === JSON.stringify(format),
  )?.[0] ?? "asRead";
