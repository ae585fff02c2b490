import { choiceColumn } from "./columnKinds/choice.ts";
import type { ColumnKind } from "./columnKinds/columnKind.ts";
import { dateColumn } from "./columnKinds/date.ts";
import { numberColumn } from "./columnKinds/number.ts";
import { pictureColumn } from "./columnKinds/picture.ts";
import { timeColumn } from "./columnKinds/time.ts";
import { wordsColumn } from "./columnKinds/words.ts";
import { yesNoColumn } from "./columnKinds/yesNo.ts";
import type { Table } from "./table.ts";

/** Every kind of column. Another is a file in `columnKinds/` and a line here; what is found first comes first. */
export const COLUMN_KINDS = {
  number: numberColumn,
  date: dateColumn,
  time: timeColumn,
  yesNo: yesNoColumn,
  words: wordsColumn,
  picture: pictureColumn,
  choice: choiceColumn,
} as const satisfies Readonly<Record<string, ColumnKind>>;

export type ColumnKindName = keyof typeof COLUMN_KINDS;
export const COLUMN_KIND_NAMES = Object.keys(COLUMN_KINDS) as [ColumnKindName, ...ColumnKindName[]];
export const columnKind = (name: ColumnKindName): ColumnKind => COLUMN_KINDS[name];

/** The kind that all values of a column are of; words for a column in which nothing stands. */
export function findKind(values: readonly string[]): ColumnKindName {
  const filled = values.filter((value) => value.trim() !== "");
  if (filled.length === 0) return "words";
  return (
    COLUMN_KIND_NAMES.find((name) => {
      const kind = columnKind(name);
      return kind.isFound && filled.every(kind.fits);
    }) ?? "words"
  );
}

/** The kinds of all columns of a table, as its values have them. */
export const kindsFound = ({ columns, rows }: Table): Readonly<Record<string, ColumnKindName>> =>
  Object.fromEntries(columns.map((name, i) => [name, findKind(rows.map((row) => row[i] ?? ""))]));
