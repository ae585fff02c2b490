import type { TableEdit } from "../../../core/feeds/tableEdit.ts";

/** A row as the grid has it: cells by the names of their columns. */
export type GridRow = Record<string, string | undefined>;

/** What the grid says has happened: rows from one to before another. */
export interface GridChange {
  readonly type: "UPDATE" | "DELETE" | "CREATE";
  readonly fromRowIndex: number;
  readonly toRowIndex: number;
}

/** What the grid has done, as edits of the table. @param before its rows as they were, @param after as they are with all of it */
export function tableEditsOf(
  columns: readonly string[],
  before: readonly GridRow[],
  after: readonly GridRow[],
  changes: readonly GridChange[],
): TableEdit[] {
  const cellsOf = (row: GridRow | undefined) => columns.map((column) => row?.[column] ?? "");
  const editOf = ({ type, fromRowIndex: at, toRowIndex: to }: GridChange): TableEdit[] => {
    switch (type) {
      case "UPDATE": {
        const was = before.slice(at, to).map(cellsOf);
        const cells = after.slice(at, to).map(cellsOf);
        // What was not touched is somebody else's to change meanwhile.
        const touched = columns.flatMap((_, i) =>
          cells.some((row, down) => row[i] !== was[down]?.[i]) ? [i] : [],
        );
        const [first] = touched;
        if (first === undefined) return [];
        const cut = (rows: readonly string[][]) =>
          rows.map((row) => row.slice(first, (touched.at(-1) ?? first) + 1));
        return [{ kind: "setCells", row: at, column: first, was: cut(was), cells: cut(cells) }];
      }
      case "CREATE":
        return [{ kind: "addRows", at, rows: after.slice(at, to).map(cellsOf) }];
      case "DELETE":
        return [{ kind: "removeRows", at, was: before.slice(at, to).map(cellsOf) }];
    }
  };
  return changes.filter(({ fromRowIndex, toRowIndex }) => toRowIndex > fromRowIndex).flatMap(editOf);
}
