import { t } from "../../language/t.ts";
import type { ColumnKind } from "./columnKind.ts";
import { wordsColumn } from "./words.ts";

/** One of what the column's rule lists. */
export const choiceColumn: ColumnKind = {
  ...wordsColumn,
  name: t`Choice`,
  one: t`one of the choices`,
  isFound: false,
};
