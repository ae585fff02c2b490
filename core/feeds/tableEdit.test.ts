import fc from "fast-check";
import { expect, test } from "vitest";
import type { Table } from "./table.ts";
import { added, type EditedBy, editTable, type TableEdit, tableEditSchema } from "./tableEdit.ts";

const table: Table = {
  columns: ["team", "points"],
  rows: [
    ["Ropewalk", "12"],
    ["Kiln Lane", "9"],
    ["Upper Slip", "30"],
  ],
};
const BY: EditedBy = { keyColumn: "team", kinds: { team: "words", points: "number" } };
const rowsAfter = (edit: TableEdit, from = table) => {
  const edited = editTable(from, edit, BY);
  if ("table" in edited) return edited.table.rows.map((row) => row.join("|"));
  return "problem" in edited ? edited.problem : `clash: ${edited.now}`;
};

test("a block is pasted over what stands there; rows are added for what goes over the end, columns are not", () => {
  const cells = [["x", "1", "gone"], ["y", " 2 "], ["z"]];
  expect(rowsAfter({ kind: "setCells", row: 2, column: 0, was: [["Upper Slip", "30"]], cells })).toEqual([
    "Ropewalk|12",
    "Kiln Lane|9",
    "x|1",
    "y|2",
    "z|",
  ]);
  expect(rowsAfter({ kind: "setCells", row: 0, column: 1, was: [["12"]], cells: [["7", "8"]] })).toEqual([
    "Ropewalk|7",
    "Kiln Lane|9",
    "Upper Slip|30",
  ]);
});

test("rows are moved, sorted by value, added and taken out", () => {
  expect(rowsAfter({ kind: "moveRow", from: 2, to: 0, was: ["Upper Slip", "30"] })).toEqual([
    "Upper Slip|30",
    "Ropewalk|12",
    "Kiln Lane|9",
  ]);
  expect(rowsAfter({ kind: "moveRow", from: 7, to: 0, was: ["Gannet", "1"] })).toBe("clash: ");
  expect(rowsAfter({ kind: "sortRows", column: "points", down: false })).toEqual([
    "Kiln Lane|9",
    "Ropewalk|12",
    "Upper Slip|30",
  ]);
  expect(rowsAfter({ kind: "addRows", at: 1, rows: [["New"]] })).toHaveLength(4);
  const was = [
    ["Ropewalk", "12"],
    ["Kiln Lane", "9"],
  ];
  expect(rowsAfter({ kind: "removeRows", at: 0, was })).toEqual(["Upper Slip|30"]);
});

test("what somebody else has changed meanwhile is not written over", () => {
  expect(rowsAfter({ kind: "setCells", row: 0, column: 1, was: [["11"]], cells: [["13"]] })).toBe("clash: ");
  expect(rowsAfter({ kind: "setCells", row: 3, column: 0, was: [["Gannet"]], cells: [["x"]] })).toBe(
    "clash: ",
  );
  expect(rowsAfter({ kind: "setCells", row: 2, column: 0, was: [], cells: [["x"]] })).toBe("clash: ");
  expect(rowsAfter({ kind: "removeRows", at: 1, was: [["Ropewalk", "12"]] })).toBe("clash: ");
  expect(rowsAfter({ kind: "moveRow", from: 0, to: 1, was: ["Ropewalk", "11"] })).toBe("clash: ");
});

test("rows are meant by their names, wherever they have gone", () => {
  const moved: Table = { ...table, rows: [...table.rows].reverse() };
  const set = { kind: "setNamed", row: "Ropewalk", column: "points", was: "12", to: "14" } as const;
  expect(rowsAfter(set, moved)).toEqual(["Upper Slip|30", "Kiln Lane|9", "Ropewalk|14"]);
  expect(rowsAfter({ ...set, was: "11" })).toBe("clash: 12");
  // What stands there already is no clash, whoever wrote it.
  expect(rowsAfter({ ...set, was: "11", to: "12" })).toEqual(["Ropewalk|12", "Kiln Lane|9", "Upper Slip|30"]);
  expect(rowsAfter({ ...set, row: "Gannet" })).toMatch(/“Gannet” is not in the table any more/);
  expect(rowsAfter({ kind: "addNamed", row: "Kiln Lane", column: "points", by: -2 })).toContain(
    "Kiln Lane|7",
  );
  expect(rowsAfter({ kind: "addNamed", row: "Kiln Lane", column: "team", by: 1 })).toMatch(/no number/);
  expect(rowsAfter({ kind: "moveNamed", row: "Ropewalk", after: "Upper Slip" })).toEqual([
    "Kiln Lane|9",
    "Upper Slip|30",
    "Ropewalk|12",
  ]);
  expect(rowsAfter({ kind: "moveNamed", row: "Upper Slip", after: "Ropewalk" })).toEqual([
    "Ropewalk|12",
    "Upper Slip|30",
    "Kiln Lane|9",
  ]);
  expect(rowsAfter({ kind: "moveNamed", row: "Upper Slip", after: null })?.[0]).toBe("Upper Slip|30");
});

test("numbers are counted on with what stands around them, and show no more decimals than they have", () => {
  expect([added("", 1), added("9", 1), added("0.1", 0.2), added("£ 1,250", 50), added("ten", 1)]).toEqual([
    ...["1", "10", "0.3", "£ 1300"],
    undefined,
  ]);
});

test("a name that cannot be a column's is refused in words", () => {
  const problem = (name: string) =>
    tableEditSchema.safeParse({ kind: "addColumn", name }).error?.issues.map(({ message }) => message);
  for (const name of ["  ", "{x}", "a|b", "a\tb"])
    expect([name, problem(name)]).toEqual([name, [expect.stringMatching(/a column’s name has letters/)]]);
  expect(problem("🏮 lamps, lit")).toBeUndefined();
});

test("columns are added, called otherwise and taken out; two of one name are refused", () => {
  const edited = (edit: TableEdit) => editTable(table, edit, BY);
  expect(edited({ kind: "addColumn", name: "boat" })).toMatchObject({
    table: { columns: ["team", "points", "boat"], rows: [["Ropewalk", "12", ""], {}, {}] },
  });
  expect(edited({ kind: "addColumn", name: "team" })).toMatchObject({ problem: /already/ });
  expect(edited({ kind: "renameColumn", from: "team", to: "points" })).toMatchObject({ problem: /already/ });
  expect(edited({ kind: "renameColumn", from: "team", to: "side" })).toMatchObject({
    table: { columns: ["side", "points"] },
  });
  expect(edited({ kind: "removeColumn", name: "team" })).toMatchObject({
    table: { columns: ["points"], rows: [["12"], ["9"], ["30"]] },
  });
});

test("seed 1606: whatever is done, every row is as long as there are columns", () => {
  const place = fc.nat(6);
  const name = fc.constantFrom("Ropewalk", "Kiln Lane", "points", "a");
  const cells = fc.array(fc.array(fc.string({ maxLength: 3 }), { maxLength: 4 }), {
    minLength: 1,
    maxLength: 4,
  });
  const edit: fc.Arbitrary<TableEdit> = fc.oneof(
    fc.record({ kind: fc.constant("setCells" as const), row: place, column: place, was: cells, cells }),
    fc.record({ kind: fc.constant("addRows" as const), at: place, rows: cells }),
    fc.record({ kind: fc.constant("moveNamed" as const), row: name, after: fc.option(name) }),
    fc.record({ kind: fc.constant("addNamed" as const), row: name, column: name, by: fc.integer() }),
    fc.record({ kind: fc.constant("addColumn" as const), name: fc.constantFrom("a", "b") }),
    fc.record({ kind: fc.constant("removeColumn" as const), name: fc.constantFrom("a", "team") }),
    fc.record({
      kind: fc.constant("sortRows" as const),
      column: fc.constantFrom("points", "a"),
      down: fc.boolean(),
    }),
  );
  fc.assert(
    fc.property(fc.array(edit, { maxLength: 20 }), (edits) => {
      let now = table;
      for (const given of edits) {
        // Half of them know what stands there.
        const each =
          given.kind === "setCells" && given.row % 2 === 0
            ? {
                ...given,
                was: now.rows
                  .slice(given.row, given.row + given.cells.length)
                  .map((r) => r.slice(given.column)),
              }
            : given;
        const edited = editTable(now, each, BY);
        if ("table" in edited) now = edited.table;
        expect(now.rows.every((row) => row.length === now.columns.length)).toBe(true);
      }
    }),
    { seed: 1606, numRuns: 300 },
  );
});
