import { t } from "../language/t.ts";
import { fieldsIn, writeWords } from "../scene/writtenWords.ts";
import type { Binding, RowChoice } from "./binding.ts";
import { type ColumnKindName, columnKind } from "./columnKinds.ts";
import type { FeedDoc } from "./feed.ts";
import { formatCell } from "./formatCell.ts";
import type { Table } from "./table.ts";

/** A feed as those see it who take values from it: its last good table. */
export interface FeedTable {
  readonly doc: Pick<FeedDoc, "name" | "keyColumn">;
  readonly table: Table;
  readonly kinds: Readonly<Record<string, ColumnKindName>>;
}

export type Resolved =
  | { readonly text: string }
  /** Nothing is picked yet: the page shows its own words. */
  | { readonly waits: true }
  /** Why there is no value, in a sentence; what was shown before stays. */
  | { readonly problem: string };

/** What a binding gives, as the feed is now. @param picked the name of the row picked for the page @param language BCP 47, of formats */
export function resolveBinding(
  binding: Binding,
  feed: FeedTable,
  picked: string | undefined,
  language: string,
): Resolved {
  const { table, doc } = feed;
  const used = binding.kind === "rows" ? binding.columns : fieldsIn(binding.text);
  const missing = used.find((name) => !table.columns.includes(name));
  if (missing !== undefined) return { problem: t`“${doc.name}” has no column “${missing}”.` };
  const write = (row: readonly string[], name: string): string => {
    const value = row[table.columns.indexOf(name)] ?? "";
    return value === "" ? binding.empty : formatCell(value, binding.formats[name], language);
  };
  if (binding.kind === "rows") {
    const { sortBy, mostRows } = binding;
    if (sortBy && !table.columns.includes(sortBy.column))
      return { problem: t`“${doc.name}” has no column “${sortBy.column}”.` };
    const rows = sortBy ? sortedRows(feed, sortBy.column, sortBy.down) : table.rows;
    const lines = rows
      .slice(0, mostRows)
      .map((row) => binding.columns.map((name) => inOneCell(write(row, name))));
    return { text: lines.map((cells) => cells.join("\t")).join("\n") };
  }
  if (binding.row.by === "pick" && picked === undefined) return { waits: true };
  const found = findRow(feed, binding.row, picked);
  if ("problem" in found) return found;
  return { text: writeWords(binding.text, (name) => write(found.row, name)) };
}

/** Tabs, strokes and line ends part cells and rows. */
const inOneCell = (text: string): string => text.replace(/[\t|\r\n]+/g, " ");

function findRow(
  feed: FeedTable,
  choice: RowChoice,
  picked: string | undefined,
): { readonly row: readonly string[] } | { readonly problem: string } {
  const { table, doc } = feed;
  const none = (what: string) => ({ problem: t`“${doc.name}” has ${what}.` });
  switch (choice.by) {
    case "number": {
      const row = table.rows[choice.number - 1];
      return row ? { row } : none(t`no row ${choice.number}: it has ${table.rows.length}`);
    }
    case "rank": {
      if (!table.columns.includes(choice.column)) return none(t`no column “${choice.column}”`);
      const row = sortedRows(feed, choice.column, choice.down)[choice.rank - 1];
      return row ? { row } : none(t`no row ${choice.rank}: it has ${table.rows.length}`);
    }
    case "key":
    case "pick": {
      const key = choice.by === "key" ? choice.key : (picked ?? "");
      const row = table.rows.find((cells, index) => rowKey(feed, cells, index) === key);
      return row ? { row } : none(t`no row “${key}”`);
    }
  }
}

/** What a row is known by: its value in the key column, else what stands in its first cell, else its number. */
export function rowKey({ doc, table }: FeedTable, cells: readonly string[], index: number): string {
  const column = doc.keyColumn === "" ? 0 : table.columns.indexOf(doc.keyColumn);
  return cells[column] || t`row ${index + 1}`;
}

/** Rows in the order of a column; those in which nothing stands come last, equal ones stay as they stood. */
export function sortedRows(
  { table, kinds }: Pick<FeedTable, "table" | "kinds">,
  column: string,
  down: boolean,
): readonly (readonly string[])[] {
  const index = table.columns.indexOf(column);
  const { compare, fits } = columnKind(kinds[column] ?? "words");
  const cellIn = (row: readonly string[]) => row[index] ?? "";
  const hasValue = (row: readonly string[]) => cellIn(row) !== "" && fits(cellIn(row));
  const filled = table.rows.filter(hasValue);
  const sign = down ? -1 : 1;
  return [
    ...filled.sort((a, b) => sign * compare(cellIn(a), cellIn(b))),
    ...table.rows.filter((row) => !hasValue(row)),
  ];
}
