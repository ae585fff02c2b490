import { t } from "../../language/t.ts";
import type { ColumnKind } from "./columnKind.ts";
import { wordsColumn } from "./words.ts";

/** A picture, by its name in the library. */
export const pictureColumn: ColumnKind = {
  ...wordsColumn,
  name: t`Picture`,
  one: t`the name of a picture`,
  isFound: false,
};
