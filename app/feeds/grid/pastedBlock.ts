import Papa from "papaparse";
import { columnNames } from "../../../core/feeds/table.ts";
import type { TableEdit } from "../../../core/feeds/tableEdit.ts";

/**
 * A block that is wider than the table from where it is pasted: the table grows, nothing of it is left out.
 * @param text as spreadsheets copy it: cells by tabs, in quotes where they hold line breaks
 * @param rows the table as it is
 * @returns edits that add columns and write the block; undefined where it has room, and is the grid's own to paste
 */
export function widePaste(
  text: string,
  at: { readonly row: number; readonly column: number },
  columns: readonly string[],
  rows: readonly (readonly string[])[],
): TableEdit[] | undefined {
  const cells = Papa.parse<string[]>(text.replace(/\r\n?/g, "\n").replace(/\n$/, ""), {
    delimiter: "\t",
  }).data;
  const width = Math.max(0, ...cells.map((row) => row.length));
  const missing = at.column + width - columns.length;
  if (missing <= 0 || cells.length === 0) return undefined;
  const added = columnNames([...columns, ...Array<string>(missing).fill("")]).slice(columns.length);
  const was = rows
    .slice(at.row, at.row + cells.length)
    .map((row) => Array.from({ length: width }, (_, i) => row[at.column + i] ?? ""));
  return [
    ...added.map((name): TableEdit => ({ kind: "addColumn", name })),
    {
      kind: "setCells",
      ...at,
      was,
      cells: cells.map((row) => [...row, ...Array<string>(width - row.length).fill("")]),
    },
  ];
}
