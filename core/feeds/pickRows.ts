import { foldWords } from "../words/foldWords.ts";
import { type FeedTable, rowKey, sortedRows } from "./resolveBinding.ts";

/** A row as it is offered to be picked. */
export interface OfferedRow {
  readonly key: string;
  readonly cells: readonly string[];
  readonly isUsed: boolean;
}

/** Under which name it is kept that a row was used: never one that every object has. */
export const usedName = (key: string): string => `=${key.slice(0, 110)}`;

/** Every row with its name, in the order in which they are taken one after another. */
export function rowsInTurn(feed: FeedTable, orderColumn: string, used: ReadonlySet<string>): OfferedRow[] {
  const keys = new Map<readonly string[], string>(
    feed.table.rows.map((cells, index) => [cells, rowKey(feed, cells, index)]),
  );
  const rows =
    orderColumn !== "" && feed.table.columns.includes(orderColumn)
      ? sortedRows(feed, orderColumn, false)
      : feed.table.rows;
  return rows.map((cells) => {
    const key = keys.get(cells) ?? "";
    return { key, cells, isUsed: used.has(usedName(key)) };
  });
}

/** Rows in which every word that is asked for begins a word, those whose name has them first. */
export function searchRows(rows: readonly OfferedRow[], asked: string, most: number): OfferedRow[] {
  const words = foldWords(asked).split(" ").filter(Boolean);
  const begins = (text: string) => {
    const folded = ` ${foldWords(text)}`;
    return words.every((word) => folded.includes(` ${word}`));
  };
  const inName: OfferedRow[] = [];
  const elsewhere: OfferedRow[] = [];
  for (const row of rows) {
    if (inName.length >= most) break;
    if (begins(row.key)) inName.push(row);
    else if (elsewhere.length < most && begins(row.cells.join(" "))) elsewhere.push(row);
  }
  return [...inName, ...elsewhere].slice(0, most);
}

/** The row after one, in turn; used ones are passed over. Undefined at the end. @param after null: from the beginning */
export function nextRow(
  rows: readonly OfferedRow[],
  after: string | null,
  skipsUsed: boolean,
): OfferedRow | undefined {
  const at = after === null ? -1 : rows.findIndex(({ key }) => key === after);
  return rows.slice(at + 1).find(({ isUsed }) => !skipsUsed || !isUsed);
}
