import { t } from "../language/t.ts";
import { quoted } from "./feedFault.ts";
import type { Table } from "./table.ts";
import type { TableEdit } from "./tableEdit.ts";

/** What an edit did to a table, in a few words for its log. @param keyColumn the column that names its rows; empty: none */
export function describeEdit(before: Table, after: Table, edit: TableEdit, keyColumn: string): string {
  const key = before.columns.indexOf(keyColumn);
  const nameOf = (cells: readonly string[] | undefined, at: number) => cells?.[key] || t`row ${at + 1}`;
  switch (edit.kind) {
    case "setCells":
    case "setNamed":
    case "addNamed": {
      const changes = changedCells(before, after, nameOf);
      const [first = "nothing", second] = changes;
      if (second === undefined) return first;
      return t`${first}, and ${changes.length === 2 ? t`1 more cell` : t`${changes.length - 1} more cells`}`;
    }
    case "addRows":
      return edit.rows.length === 1
        ? t`${nameOf(after.rows[edit.at], edit.at)} was added`
        : t`${edit.rows.length} rows were added`;
    case "removeRows":
      return edit.was.length === 1
        ? t`${nameOf(before.rows[edit.at], edit.at)} was removed`
        : t`${edit.was.length} rows were removed`;
    case "moveRow":
      return t`${nameOf(before.rows[edit.from], edit.from)} was moved to place ${edit.to + 1}`;
    case "moveNamed":
      return t`${edit.row} was moved ${edit.after === null ? t`to the top` : t`below ${edit.after}`}`;
    case "sortRows":
      return t`sorted by ${quoted(edit.column)}${edit.down ? t`, the most first` : ""}`;
    case "addColumn":
      return t`column ${quoted(edit.name)} was added`;
    case "renameColumn":
      return t`column ${quoted(edit.from)} is called ${quoted(edit.to)} now`;
    case "removeColumn":
      return t`column ${quoted(edit.name)} was removed`;
  }
}

function changedCells(
  before: Table,
  after: Table,
  nameOf: (cells: readonly string[] | undefined, at: number) => string,
): string[] {
  return after.rows.flatMap((cells, at) => {
    const was = before.rows[at];
    return cells.flatMap((text, i) => {
      const old = was?.[i] ?? "";
      if (old === text) return [];
      const from = old === "" ? "" : `${old} → `;
      return [`${nameOf(was ?? cells, at)}, ${after.columns[i]}: ${from}${text === "" ? t`nothing` : text}`];
    });
  });
}
