import type { ColumnKind } from "./columnKind.ts";
import { wordsColumn } from "./words.ts";

/** A picture, by its name in the library. */
export const pictureColumn: ColumnKind = {
  ...wordsColumn,
  name: "Picture",
  one: "the name of a picture",
  isFound: false,
};
