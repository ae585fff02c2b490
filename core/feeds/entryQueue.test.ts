import fc from "fast-check";
import { describe, expect, test } from "vitest";
import type { EntryTable } from "./entryLink.ts";
import {
  afterAnswer,
  type EntryState,
  insist,
  letGo,
  NOTHING_TYPED,
  shownRows,
  withEdit,
} from "./entryQueue.ts";
import { editTable, type RowEdit } from "./tableEdit.ts";

const told: EntryTable = {
  ...{ name: "Mara", tableName: "Quiz", version: 1, columns: ["points"], kinds: { points: "number" } },
  ...{ choices: {}, mayMove: true },
  rows: [
    { name: "Ropewalk", cells: ["12"] },
    { name: "Kiln Lane", cells: ["9"] },
  ],
};
const add = (row: string, by: number): RowEdit => ({ kind: "addNamed", row, column: "points", by });
const set = (row: string, was: string, to: string): RowEdit => ({
  kind: "setNamed",
  row,
  column: "points",
  was,
  to,
});
const typed = (...edits: RowEdit[]) =>
  edits.reduce<EntryState>((state, edit, i) => withEdit(state, edit, `e${i}`), NOTHING_TYPED);

describe("what is done on a phone", () => {
  test("is shown at once, over what was told", () => {
    const state = typed(add("Ropewalk", 1), add("Ropewalk", 1), {
      kind: "moveNamed",
      row: "Kiln Lane",
      after: null,
    });
    expect(shownRows(told, state)).toEqual([
      { name: "Kiln Lane", cells: ["9"] },
      { name: "Ropewalk", cells: ["14"] },
    ]);
  });

  test("waits together with what waits for the same cell, but never with what may be on its way", () => {
    const state = typed(
      add("Ropewalk", 1),
      add("Ropewalk", 1),
      add("Ropewalk", 1),
      set("Ropewalk", "15", "20"),
    );
    expect(state.queue.map(({ id, edit }) => [id, "by" in edit ? edit.by : "to" in edit && edit.to])).toEqual(
      [
        ["e0", 1],
        ["e1", 2],
        ["e3", "20"],
      ],
    );
    expect(
      typed(add("Kiln Lane", 1), set("Ropewalk", "12", "13"), add("Ropewalk", 2)).queue[1]?.edit,
    ).toEqual(set("Ropewalk", "12", "15"));
  });

  test("is out of the queue once it is answered; what clashes is put before whoever typed it", () => {
    const state = typed(add("Kiln Lane", 1), set("Ropewalk", "12", "14"));
    const first = afterAnswer(state, "e0", { kind: "done", version: 2 });
    expect(first.queue.map(({ id }) => id)).toEqual(["e1"]);
    const clashed = afterAnswer(first, "e1", { kind: "clash", sentence: "It is 13 now.", now: "13" });
    expect(clashed).toMatchObject({
      queue: [],
      unsettled: [{ id: "e1", now: "13", sentence: "It is 13 now." }],
    });
    expect(insist(clashed, "e1", "e9")).toEqual({
      queue: [{ id: "e9", edit: set("Ropewalk", "13", "14") }],
      unsettled: [],
    });
    expect(letGo(clashed, "e1")).toEqual(NOTHING_TYPED);
    expect(afterAnswer(clashed, "e1", { kind: "done", version: 2 })).toBe(clashed);
  });

  test("seed 1607: however it is joined, the table is what each press by itself would have made of it", () => {
    const row = fc.constantFrom("Ropewalk", "Kiln Lane");
    const press = fc.oneof(
      fc.record({ row, by: fc.integer({ min: -9, max: 9 }) }).map(({ row: name, by }) => add(name, by)),
      fc.record({ row, to: fc.nat(99) }).map(({ row: name, to }) => set(name, "", String(to))),
    );
    fc.assert(
      fc.property(fc.array(press, { maxLength: 12 }), (presses) => {
        let state = NOTHING_TYPED;
        const alone = new Map(told.rows.map(({ name, cells }) => [name, Number(cells[0])]));
        for (const [i, given] of presses.entries()) {
          const now = String(alone.get(given.row));
          const edit = given.kind === "setNamed" ? { ...given, was: now } : given;
          alone.set(
            given.row,
            edit.kind === "addNamed" ? Number(now) + edit.by : Number(edit.kind === "setNamed" && edit.to),
          );
          state = withEdit(state, edit, `e${i}`);
        }
        // The server does them one after another, with what it has.
        let table = {
          columns: ["name", "points"],
          rows: told.rows.map(({ name, cells }) => [name, ...cells]),
        };
        for (const { edit } of state.queue) {
          const edited = editTable(table, edit, { keyColumn: "name", kinds: told.kinds });
          if (!("table" in edited)) throw new Error(JSON.stringify(edited));
          table = edited.table;
        }
        const sent = new Map(table.rows.map(([name = "", points]) => [name, Number(points)]));
        expect(sent).toEqual(alone);
        expect(new Map(shownRows(told, state).map(({ name, cells }) => [name, Number(cells[0])]))).toEqual(
          alone,
        );
      }),
      { seed: 1607, numRuns: 300 },
    );
  });
});
