import { t } from "../../language/t.ts";
import type { FieldKind } from "./fieldKind.ts";
import { lineKind } from "./line.ts";

/** A table: a row on each line, its cells parted by tabs or bars. */
export const rowsKind: FieldKind = {
  ...lineKind,
  name: t`Rows of a table`,
  words: (value) => value.trim().replace(/\|/g, "  "),
};
