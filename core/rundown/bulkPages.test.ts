import { describe, expect, test } from "vitest";
import { FIELD_SETS } from "../../test-support/designs.ts";
import { bulkPages, guessMapping, looksLikeRows, readRows } from "./bulkPages.ts";

const NAME = FIELD_SETS.find(({ id }) => id === "name") as (typeof FIELD_SETS)[number];
const pages = (text: string) => {
  const pasted = readRows(text, ["name", "Name", "role", "Role"]);
  return bulkPages(pasted, NAME, guessMapping(pasted, NAME)).docs.map(({ values }) => [
    values.name,
    values.role,
  ]);
};

describe("pasted lines and cells as pages", () => {
  test.each([
    ["Ilse Tarrow\tnet mender\nOdhran Vael\tharbour pilot", "tabs, as spreadsheets copy cells"],
    ["Ilse Tarrow, net mender\nOdhran Vael, harbour pilot", "commas"],
    ["Ilse Tarrow;net mender\nOdhran Vael;harbour pilot", "semicolons"],
    ["Ilse Tarrow – net mender\nOdhran Vael - harbour pilot", "dashes"],
    ["| Ilse Tarrow | net mender |\n| Odhran Vael | harbour pilot |", "bars"],
    [
      "| Name | Role |\n|---|---|\n| Ilse Tarrow | net mender |\n| Odhran Vael | harbour pilot |",
      "a table of Markdown",
    ],
    ["Ilse Tarrow     net mender\nOdhran Vael     harbour pilot", "columns of spaces"],
    ["Ilse Tarrow (net mender)\nOdhran Vael (harbour pilot)", "brackets"],
    ["Ilse Tarrow: net mender\nOdhran Vael: harbour pilot", "colons"],
    ["• Ilse Tarrow – net mender\n• Odhran Vael – harbour pilot", "bullets"],
    ["1. Ilse Tarrow, net mender\n2. Odhran Vael, harbour pilot", "numbers"],
    ["1) Ilse Tarrow -net mender\n2) Odhran Vael -harbour pilot", "numbers, and dashes without a space"],
    ["Ilse Tarrow – net mender\nOdhran Vael, harbour pilot", "one way and another"],
    ["Name, Function\nIlse Tarrow, net mender\nOdhran Vael, harbour pilot", "a usual heading"],
    ["Role\tName\nnet mender\tIlse Tarrow\nharbour pilot\tOdhran Vael", "a heading in another order"],
  ])("%j: %s", (text) => {
    expect(pages(text)).toEqual([
      ["Ilse Tarrow", "net mender"],
      ["Odhran Vael", "harbour pilot"],
    ]);
  });

  // RFC 4180, section 2: each of its rules for quoted and plain fields.
  test.each([
    [
      "a,b\r\nc,d\r\n",
      [
        ["a", "b"],
        ["c", "d"],
      ],
    ],
    [
      "a,b\r\nc,d",
      [
        ["a", "b"],
        ["c", "d"],
      ],
    ],
    [
      '"a","b"\r\n"c",d',
      [
        ["a", "b"],
        ["c", "d"],
      ],
    ],
    [
      '"a\r\nmore","b"\r\nc,d',
      [
        ["a\nmore", "b"],
        ["c", "d"],
      ],
    ],
    [
      '"a, and more",b\r\nc,d',
      [
        ["a, and more", "b"],
        ["c", "d"],
      ],
    ],
    [
      '"a ""quoted""",b\r\nc,d',
      [
        ['a "quoted"', "b"],
        ["c", "d"],
      ],
    ],
    [
      "\ufeffa,b\nc,d",
      [
        ["a", "b"],
        ["c", "d"],
      ],
    ],
  ])("RFC 4180: %j", (text, rows) => expect(readRows(text, []).rows).toEqual(rows));

  test("columns of one field are joined, those of none left out, empty rows skipped", () => {
    const pasted = readRows("Ilse\tTarrow\tnet mender\t07\n\n\t\t\nOdhran\tVael\tharbour pilot\t08", []);
    expect(bulkPages(pasted, NAME, ["name", "name", "role", null]).docs.map(({ values }) => values)).toEqual([
      { name: "Ilse, Tarrow", role: "net mender" },
      { name: "Odhran, Vael", role: "harbour pilot" },
    ]);
  });

  test("a list is told from a song", () => {
    expect(looksLikeRows("Ilse Tarrow, net mender\nOdhran Vael, harbour pilot")).toBe(true);
    expect(looksLikeRows("a\tb\nc\td")).toBe(true);
    expect(looksLikeRows("Harbour kind, harbour wide,\nhold the ones who come inside;")).toBe(false);
    expect(looksLikeRows("Verse 1\nIlse, come home\n\nChorus\nla, la")).toBe(false);
    expect(looksLikeRows("one line")).toBe(false);
  });

  test("letters after a name stay with it", () => {
    expect(
      pages("Noor Vael, MD, harbour doctor\nBram Oske, Ph.D., tide reader\nBrisa Quell Jr., lamp keeper"),
    ).toEqual([
      ["Noor Vael, MD", "harbour doctor"],
      ["Bram Oske, Ph.D.", "tide reader"],
      ["Brisa Quell Jr.", "lamp keeper"],
    ]);
  });

  test("six hundred rows are six hundred pages", () => {
    const text = Array.from({ length: 600 }, (_, i) => `Ilse Tarrow ${i}, net mender`).join("\n");
    expect(pages(text)).toHaveLength(600);
  });

  test("what is too long is cut at a word, and said", () => {
    const pasted = readRows(`Ilse Tarrow\t${"net mender ".repeat(40)}\nOdhran Vael\tharbour pilot`, []);
    const { docs, tooLong } = bulkPages(pasted, NAME, ["name", "role"]);
    expect(tooLong).toEqual([{ row: 0, field: "role", letters: 439, most: 160 }]);
    expect(docs[0]?.values.role).toMatch(/ (?:net|mender)$/);
  });

  test.each([
    ["Ilse Tarrow\nOdhran Vael\nNoor Quell", true],
    ["Ilse Tarrow (net mender)\nOdhran Vael (harbour pilot)", true],
    ["Dr. Noor Vael: harbour doctor\nBram Oske: tide reader", true],
    ["Slow river, carry our lanterns down\npast every sleeping town, asleep", false],
    ["River of Lanterns\nslow river, carry our lanterns down\npast every sleeping town", false],
    ["Ilse came, and the boats came home,\nBram came, and the tide came in,", false],
  ])("%j is a list: %s", (text, isList) => expect(looksLikeRows(text)).toBe(isList));
});
