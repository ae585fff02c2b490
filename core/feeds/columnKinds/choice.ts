import type { ColumnKind } from "./columnKind.ts";
import { wordsColumn } from "./words.ts";

/** One of what the column's rule lists. */
export const choiceColumn: ColumnKind = {
  ...wordsColumn,
  name: "Choice",
  one: "one of the choices",
  isFound: false,
};
