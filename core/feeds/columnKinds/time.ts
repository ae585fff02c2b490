import { t } from "../../language/t.ts";
import { readTime } from "../readDate.ts";
import type { ColumnKind } from "./columnKind.ts";

/** A time of day or a length: "19:30", "1:02:03.4". */
export const timeColumn: ColumnKind = {
  name: t`Time`,
  one: t`a time, as 19:30`,
  fits: (text) => readTime(text) !== undefined,
  compare: (first, second) => (readTime(first) ?? 0) - (readTime(second) ?? 0),
  isFound: true,
};
