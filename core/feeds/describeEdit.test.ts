import { expect, test } from "vitest";
import { describeEdit } from "./describeEdit.ts";
import type { Table } from "./table.ts";
import { editTable, type TableEdit } from "./tableEdit.ts";

const table: Table = {
  columns: ["team", "points"],
  rows: [
    ["Ropewalk", "12"],
    ["", "9"],
  ],
};

test.each<[TableEdit, string]>([
  [{ kind: "setCells", row: 0, column: 1, was: [["12"]], cells: [["14"]] }, "Ropewalk, points: 12 → 14"],
  [{ kind: "setCells", row: 1, column: 1, was: [["9"]], cells: [[""]] }, "row 2, points: 9 → nothing"],
  [
    {
      kind: "setCells",
      row: 1,
      column: 0,
      was: [["", "9"]],
      cells: [
        ["Kiln", "8"],
        ["Slip", "1"],
      ],
    },
    "row 2, team: Kiln, and 3 more cells",
  ],
  [{ kind: "addNamed", row: "Ropewalk", column: "points", by: 3 }, "Ropewalk, points: 12 → 15"],
  [{ kind: "addRows", at: 2, rows: [["Slip"]] }, "Slip was added"],
  [{ kind: "removeRows", at: 0, was: [["Ropewalk", "12"]] }, "Ropewalk was removed"],
  [{ kind: "moveRow", from: 0, to: 1, was: ["Ropewalk", "12"] }, "Ropewalk was moved to place 2"],
  [{ kind: "moveNamed", row: "Ropewalk", after: null }, "Ropewalk was moved to the top"],
  [{ kind: "sortRows", column: "points", down: true }, "sorted by “points”, the most first"],
  [{ kind: "renameColumn", from: "points", to: "score" }, "column “points” is called “score” now"],
])("%j is “%s”", (edit, words) => {
  const edited = editTable(table, edit, { keyColumn: "team", kinds: { points: "number" } });
  if (!("table" in edited)) throw new Error(JSON.stringify(edited));
  expect(describeEdit(table, edited.table, edit, "team")).toBe(words);
});
