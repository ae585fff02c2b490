import { t } from "../../language/t.ts";
import { readDate } from "../readDate.ts";
import type { ColumnKind } from "./columnKind.ts";

/** A day as ISO 8601 writes it, with or without a time of day: "2026-12-05", "2026-12-05 19:30". */
export const dateColumn: ColumnKind = {
  name: t`Date`,
  one: t`a date, as 2026-12-05`,
  fits: (text) => readDate(text) !== undefined,
  compare: (first, second) => (readDate(first) ?? 0) - (readDate(second) ?? 0),
  isFound: true,
};
