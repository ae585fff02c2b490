import { expect, test } from "vitest";
import { findKind } from "./columnKinds.ts";
import { readDate, readTime } from "./readDate.ts";
import { columnNames, tableOf } from "./table.ts";

test.each([
  [["142", "97", ""], "number"],
  [["£ 1,250", "12.5 %", "-3"], "number"],
  [["Lane 4", "Lane 5"], "words"],
  [["12", "n/a"], "words"],
  [["2026-12-05", "2026-12-05 19:30", "2026-02-28T10:00:00Z"], "date"],
  [["2026-02-30"], "words"],
  [["19:30", "1:02:03.4"], "time"],
  [["yes", "No", "-"], "yesNo"],
  [["", ""], "words"],
])("%j is found to be %s", (values, kind) => {
  expect(findKind(values)).toBe(kind);
});

test("days that there are not, and hours past the day, are no dates", () => {
  for (const text of ["2026-13-01", "2026-00-10", "2025-02-29", "2026-12-05 24:00", "5.12.2026", "2026-12"])
    expect(readDate(text), text).toBeUndefined();
  expect(readDate("2024-02-29")).toBe(Date.UTC(2024, 1, 29));
  expect(readTime("1:02:03.45")).toBe(3_723_450);
  expect(readTime("19:60")).toBeUndefined();
});

test("names of columns can stand in braces, are not double, and are never names that every object has", () => {
  expect(columnNames(["street", "street", "", " a {b} | c ", "constructor"])).toEqual([
    "street",
    "street 2",
    "Column 3",
    "a b c",
    "Column 5",
  ]);
});

test("rows are as long as one another; empty ones and what no column stands over are left out", () => {
  const cells = [["a", "b", ""], ["1"], ["", "", ""], ["2", " 3 ", ""]];
  expect(tableOf(cells, true)).toEqual({
    columns: ["a", "b"],
    rows: [
      ["1", ""],
      ["2", "3"],
    ],
  });
  expect(tableOf(cells, false).columns).toEqual(["Column 1", "Column 2"]);
  expect(tableOf([], true)).toEqual({ columns: [], rows: [] });
});
