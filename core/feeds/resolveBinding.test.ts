import { describe, expect, test } from "vitest";
import { type Binding, bindingSchema, type RowChoice } from "./binding.ts";
import { kindsFound } from "./columnKinds.ts";
import { nextRow, rowsInTurn, searchRows, usedName } from "./pickRows.ts";
import { type FeedTable, resolveBinding } from "./resolveBinding.ts";
import type { Table } from "./table.ts";

const table: Table = {
  columns: ["street", "lanterns", "since"],
  rows: [
    ["Ropewalk", "142", "2026-12-05"],
    ["Kiln Lane", "97", ""],
    ["Upper Slip", "1203", "2026-12-04 19:30"],
    ["Gannet Steps", "", "2026-12-06"],
  ],
};
const feed: FeedTable = {
  doc: { name: "Lanterns", keyColumn: "street" },
  table,
  kinds: kindsFound(table),
};
const cell = (row: RowChoice, text = "{lanterns}", more: object = {}): Binding =>
  bindingSchema.parse({ kind: "cell", feedId: "f", row, text, ...more });
const give = (binding: Binding, picked?: string, language = "en") =>
  resolveBinding(binding, feed, picked, language);

describe("what a binding gives", () => {
  test("a row by number, by name, by rank and by pick", () => {
    expect(give(cell({ by: "number", number: 2 }))).toEqual({ text: "97" });
    expect(give(cell({ by: "key", key: "Upper Slip" }))).toEqual({ text: "1203" });
    const top = { by: "rank", column: "lanterns", down: true } as const;
    // Numbers by their value, not by their letters; what is empty comes last either way.
    expect([1, 2, 3, 4].map((rank) => give(cell({ ...top, rank }, "{street}")))).toEqual([
      { text: "Upper Slip" },
      { text: "Ropewalk" },
      { text: "Kiln Lane" },
      { text: "Gannet Steps" },
    ]);
    expect(give(cell({ ...top, down: false, rank: 4 }, "{street}"))).toEqual({ text: "Gannet Steps" });
    expect(give(cell({ by: "pick" }))).toEqual({ waits: true });
    expect(give(cell({ by: "pick" }, "{street}"), "Kiln Lane")).toEqual({ text: "Kiln Lane" });
  });

  test("words around it, formats of the language, and what stands for empty", () => {
    const text = "{lanterns} lit in {street}";
    expect(give(cell({ by: "number", number: 1 }, text))).toEqual({ text: "142 lit in Ropewalk" });
    expect(give(cell({ by: "number", number: 4 }, text, { empty: "to follow" }))).toEqual({
      text: "to follow lit in Gannet Steps",
    });
    const number = { formats: { lanterns: { kind: "number" } } };
    expect(give(cell({ by: "number", number: 3 }, "{lanterns}", number), undefined, "de")).toEqual({
      text: "1.203",
    });
    const date = { formats: { since: { kind: "date", style: "long" } } };
    expect(give(cell({ by: "number", number: 1 }, "{since}", date), undefined, "en-GB")).toEqual({
      text: "5 December 2026",
    });
    expect(give(cell({ by: "number", number: 1 }, "{since}", date), undefined, "es")).toEqual({
      text: "5 de diciembre de 2026",
    });
    const time = { formats: { since: { kind: "time", style: "short" } } };
    expect(give(cell({ by: "number", number: 3 }, "{since}", time), undefined, "de")).toEqual({
      text: "19:30",
    });
  });

  test("rows of a table: columns chosen and ordered, sorted, the first of them", () => {
    const rows = bindingSchema.parse({
      kind: "rows",
      feedId: "f",
      columns: ["lanterns", "street"],
      mostRows: 2,
      sortBy: { column: "lanterns", down: true },
      empty: "–",
    });
    expect(give(rows)).toEqual({ text: "1203\tUpper Slip\n142\tRopewalk" });
  });

  test("what is not there is a problem in words, never an empty page", () => {
    expect(give(cell({ by: "number", number: 5 }))).toEqual({
      problem: "“Lanterns” has no row 5: it has 4.",
    });
    expect(give(cell({ by: "key", key: "Pier" }))).toEqual({ problem: "“Lanterns” has no row “Pier”." });
    expect(give(cell({ by: "pick" }), "Pier")).toEqual({ problem: "“Lanterns” has no row “Pier”." });
    expect(give(cell({ by: "number", number: 1 }, "{boats}"))).toEqual({
      problem: "“Lanterns” has no column “boats”.",
    });
  });

  test("a cell cannot make more cells or rows of a table", () => {
    const tricky: FeedTable = {
      ...feed,
      table: { columns: ["a"], rows: [["one\ttwo|three\nfour"]] },
      kinds: { a: "words" },
    };
    const rows = bindingSchema.parse({ kind: "rows", feedId: "f", columns: ["a"] });
    expect(resolveBinding(rows, tricky, undefined, "en")).toEqual({ text: "one two three four" });
  });
});

describe("rows to be picked", () => {
  const rows = rowsInTurn(feed, "", new Set([usedName("Kiln Lane")]));

  test("are found by any beginnings of words, without marks and case; names come first", () => {
    const keys = (asked: string) => searchRows(rows, asked, 10).map(({ key }) => key);
    expect(keys("slip up")).toEqual(["Upper Slip"]);
    expect(keys("142")).toEqual(["Ropewalk"]);
    expect(keys("lip")).toEqual([]);
    expect(keys("")).toHaveLength(4);
    expect(searchRows(rows, "", 2)).toHaveLength(2);
  });

  test("are walked in turn or in the order of a column; used ones are passed over", () => {
    expect(nextRow(rows, null, true)?.key).toBe("Ropewalk");
    expect(nextRow(rows, "Ropewalk", true)?.key).toBe("Upper Slip");
    expect(nextRow(rows, "Ropewalk", false)?.key).toBe("Kiln Lane");
    expect(nextRow(rows, "Gannet Steps", true)).toBeUndefined();
    expect(rowsInTurn(feed, "lanterns", new Set()).map(({ key }) => key)).toEqual([
      "Kiln Lane",
      "Ropewalk",
      "Upper Slip",
      "Gannet Steps",
    ]);
  });
});
