import { expect, test } from "vitest";
import { editTable } from "../../../core/feeds/tableEdit.ts";
import { widePaste } from "./pastedBlock.ts";

const columns = ["name", "number"];
const rows = [
  ["Ropewalk", "12"],
  ["Kiln Lane", "9"],
];
const pasted = (text: string, at = { row: 0, column: 0 }) => {
  let table = { columns, rows };
  for (const edit of widePaste(text, at, columns, rows) ?? []) {
    const edited = editTable(table, edit, { keyColumn: "name", kinds: {} });
    if (!("table" in edited)) throw new Error(JSON.stringify(edited));
    table = edited.table;
  }
  return table;
};

test("a block that is wider than the table adds columns for what has no room, and rows", () => {
  expect(pasted("Gull\t1\tred\tport\r\nTern\t2\r\nPlover\t3\tblue\r\n")).toEqual({
    columns: ["name", "number", "Column 3", "Column 4"],
    rows: [
      ["Gull", "1", "red", "port"],
      ["Tern", "2", "", ""],
      ["Plover", "3", "blue", ""],
    ],
  });
  expect(pasted('1\t"two\nlines"\t3', { row: 1, column: 1 }).rows[1]).toEqual([
    "Kiln Lane",
    "1",
    "two\nlines",
    "3",
  ]);
});

test("what has room is the grid's own to paste", () => {
  expect(widePaste("Gull\t1\n", { row: 0, column: 0 }, columns, rows)).toBeUndefined();
  expect(widePaste("7", { row: 1, column: 1 }, columns, rows)).toBeUndefined();
});
