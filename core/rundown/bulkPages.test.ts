import { describe, expect, test } from "vitest";
import { FIELD_SETS } from "../../designs/fieldSets.ts";
import { bulkPages, guessMapping, looksLikeRows, readRows } from "./bulkPages.ts";

const NAME = FIELD_SETS.find(({ id }) => id === "name") as (typeof FIELD_SETS)[number];
const pages = (text: string) => {
  const pasted = readRows(text, ["name", "Name", "role", "Role"]);
  return bulkPages(pasted, NAME, guessMapping(pasted, NAME)).map(({ values }) => [values.name, values.role]);
};

describe("pasted lines and cells as pages", () => {
  test.each([
    ["Ilse Tarrow\tnet mender\nOdhran Vael\tharbour pilot", "tabs, as spreadsheets copy cells"],
    ["Ilse Tarrow, net mender\nOdhran Vael, harbour pilot", "commas"],
    ["Ilse Tarrow;net mender\nOdhran Vael;harbour pilot", "semicolons"],
    ["Ilse Tarrow – net mender\nOdhran Vael - harbour pilot", "dashes"],
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
    expect(bulkPages(pasted, NAME, ["name", "name", "role", null]).map(({ values }) => values)).toEqual([
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
});
