import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { type Accepted, acceptTable, type TableShape } from "./acceptTable.ts";
import { columnRuleSchema } from "./feed.ts";
import { faultSentence } from "./feedFault.ts";
import type { Table } from "./table.ts";

const SETTINGS = { rules: {}, keyColumn: "", mostRows: 10 };
const lanterns = (...rows: string[][]): Table => ({ columns: ["street", "lanterns"], rows });
const GOOD = lanterns(["Ropewalk", "142"], ["Kiln Lane", "97"]);
const shapeOf = (accepted: Accepted): TableShape => {
  if ("fault" in accepted) throw new Error(accepted.fault.says);
  return accepted.shape;
};
const SHAPE = shapeOf(acceptTable(null, GOOD, SETTINGS));
const faultOf = (table: Table, settings = SETTINGS, before: TableShape | null = SHAPE) => {
  const accepted = acceptTable(before, table, settings);
  return "fault" in accepted ? accepted.fault : undefined;
};

describe("what may take the place of a good table", () => {
  test("kinds are found from the values, and keep what they were found to be", () => {
    expect(SHAPE.kinds).toEqual({ street: "words", lanterns: "number" });
    // Empty for a while, a column of numbers is one of numbers still.
    const emptied = shapeOf(acceptTable(SHAPE, lanterns(["Ropewalk", ""]), SETTINGS));
    expect(emptied.kinds.lanterns).toBe("number");
    expect(faultOf(lanterns(["Ropewalk", "many"]), SETTINGS, emptied)?.code).toBe("wrongKind");
  });

  test("text where numbers stood is refused whole, with row, column and value", () => {
    const fault = faultOf(lanterns(["Ropewalk", "150"], ["Kiln Lane", "n/a"]));
    expect(fault).toMatchObject({ code: "wrongKind", row: 2, column: "lanterns", value: "n/a" });
    expect(fault && faultSentence("Lanterns", fault)).toBe(
      "“Lanterns”: “lanterns” has “n/a” in row 2, where a number belongs. Pages keep the last good values.",
    );
  });

  test("a missing column, no rows any more, and a thousand too many", () => {
    expect(faultOf({ columns: ["street"], rows: [["Ropewalk"]] })).toMatchObject({
      code: "missingColumn",
      column: "lanterns",
    });
    expect(faultOf(lanterns())?.code).toBe("empty");
    expect(faultOf(lanterns(), SETTINGS, null)).toBeUndefined();
    const many = lanterns(...Array.from({ length: 1_010 }, (_, i) => [`Street ${i}`, "1"]));
    expect(faultOf(many)?.says).toBe("it has 1010 rows, and may have 10.");
  });

  test("what a venue allows in a column: from, to, one of, a name for each row", () => {
    const held = (rule: object) => ({ ...SETTINGS, rules: { lanterns: columnRuleSchema.parse(rule) } });
    expect(faultOf(GOOD, held({ from: 100 }))).toMatchObject({ code: "notAllowed", row: 2, value: "97" });
    expect(faultOf(GOOD, held({ to: 100 }))).toMatchObject({ code: "notAllowed", row: 1, value: "142" });
    expect(faultOf(GOOD, held({ from: 97, to: 142 }))).toBeUndefined();
    expect(faultOf(GOOD, held({ oneOf: ["142", "98"] }))).toMatchObject({ row: 2, value: "97" });
    const twice = lanterns(["Ropewalk", "1"], ["Ropewalk", "2"]);
    expect(faultOf(twice)).toBeUndefined();
    expect(faultOf(twice, { ...SETTINGS, keyColumn: "street" })?.says).toBe(
      "rows 1 and 2 are both called “Ropewalk” in “street”.",
    );
  });

  test("seed 1601: a table with one bad cell is never taken, wherever it stands", () => {
    const rows = fc.array(fc.tuple(fc.constantFrom("Ropewalk", "Kiln Lane"), fc.nat(5_000).map(String)), {
      minLength: 1,
      maxLength: 9,
    });
    const rubbish = fc.constantFrom(
      "#REF!",
      "abc",
      "12 or 13",
      "1.2.3",
      "—",
      "NaN",
      "0x1f",
      "Lane 4",
      "<b>7</b>",
    );
    fc.assert(
      fc.property(rows, fc.nat(8), rubbish, (good, at, bad) => {
        const broken = good.map((row, i) => (i === at % good.length ? [row[0], bad] : [...row]));
        expect(faultOf(lanterns(...good))).toBeUndefined();
        expect(faultOf(lanterns(...broken))).toMatchObject({ row: (at % good.length) + 1, value: bad });
      }),
      { seed: 1601, numRuns: 300 },
    );
  });
});
