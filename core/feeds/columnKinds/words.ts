import { t } from "../../language/t.ts";
import type { ColumnKind } from "./columnKind.ts";

const order = new Intl.Collator("en", { numeric: true, sensitivity: "base" });

/** Anything at all. "Lane 10" comes after "Lane 9". */
export const wordsColumn: ColumnKind = {
  name: t`Words`,
  one: t`words`,
  fits: () => true,
  compare: (first, second) => order.compare(first, second),
  isFound: true,
};
