import { parse } from "csv-parse/sync";
import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { readCsv } from "./readCsv.ts";

const read = (text: string | Uint8Array, more: object = {}) =>
  readCsv(typeof text === "string" ? new TextEncoder().encode(text) : text, {
    separator: null,
    firstRowNames: true,
    ...more,
  });

// Rules as RFC 4180, section 2, numbers them; its own examples.
describe("RFC 4180, rule by rule", () => {
  const plain = {
    columns: ["Column 1", "Column 2", "Column 3"],
    rows: [
      ["aaa", "bbb", "ccc"],
      ["zzz", "yyy", "xxx"],
    ],
  };
  test("1: each record is on a line of its own, ended by CRLF", () => {
    expect(read("aaa,bbb,ccc\r\nzzz,yyy,xxx\r\n", { firstRowNames: false })).toEqual(plain);
  });
  test("2: the last one may have no line end", () => {
    expect(read("aaa,bbb,ccc\r\nzzz,yyy,xxx", { firstRowNames: false })).toEqual(plain);
  });
  test("3: there may be a line of names", () => {
    expect(read("field_name,other\r\naaa,bbb\r\n")).toEqual({
      columns: ["field_name", "other"],
      rows: [["aaa", "bbb"]],
    });
  });
  test("4: fields are parted by commas; as many in each line; the last has none after it", () => {
    expect(read("a,b,c\r\naaa,bbb,ccc").rows).toEqual([["aaa", "bbb", "ccc"]]);
  });
  test("5: fields may stand in quotation marks", () => {
    expect(read('a,b,c\r\n"aaa","bbb","ccc"\r\nzzz,yyy,xxx').rows).toEqual(plain.rows);
  });
  test("6: line ends, quotation marks and commas stand in quotation marks", () => {
    expect(read('a,b,c\r\n"aaa","b\r\nbb","c,c"\r\nzzz,yyy,xxx').rows).toEqual([
      ["aaa", "b\r\nbb", "c,c"],
      ["zzz", "yyy", "xxx"],
    ]);
  });
  test("7: a quotation mark in them is written twice", () => {
    expect(read('a,b,c\r\n"aaa","b""bb","ccc"').rows).toEqual([["aaa", 'b"bb', "ccc"]]);
  });
});

test("seed 1603: what is written by the rules is read as another reader reads it", () => {
  const cell = fc.string({
    unit: fc.constantFrom("a", "ß", "7", " ", ",", ";", '"', "\n", "\r\n", "ö", "—", "漢"),
    maxLength: 8,
  });
  const table = fc.array(fc.array(cell, { minLength: 3, maxLength: 3 }), { minLength: 1, maxLength: 8 });
  const quote = (text: string) => `"${text.replace(/"/g, '""')}"`;
  fc.assert(
    fc.property(table, (rows) => {
      const written = rows.map((row) => row.map(quote).join(",")).join("\r\n");
      const other = parse(written) as string[][];
      expect(other).toEqual(rows);
      const mine = read(`a,b,c\r\n${written}`, { separator: "," });
      const filled = other
        .map((row) => row.map((each) => each.trim()))
        .filter((row) => row.some((each) => each !== ""));
      expect(mine.rows).toEqual(filled);
    }),
    { seed: 1603, numRuns: 300 },
  );
});

describe("as spreadsheets and people write it", () => {
  test.each([
    ["semicolons, and commas in numbers", "street;lit\nRopewalk;1,5\nKiln Lane;2,5"],
    ["tabs", "street\tlit\nRopewalk\t1,5\nKiln Lane\t2,5"],
    ["a byte order mark", "\ufeffstreet;lit\r\nRopewalk;1,5\r\nKiln Lane;2,5\r\n"],
    ["empty lines and spaces", "street;lit\n\nRopewalk ; 1,5\n;\nKiln Lane;2,5\n\n"],
  ])("%s", (_, text) => {
    expect(read(text)).toEqual({
      columns: ["street", "lit"],
      rows: [
        ["Ropewalk", "1,5"],
        ["Kiln Lane", "2,5"],
      ],
    });
  });

  test("windows-1252 and UTF-16 with its mark", () => {
    const old = Uint8Array.from(
      Buffer.from("Straße;Lichter\nHafenstraße am Kai;12\nMühlgasse überm Fluß;9\n", "latin1"),
    );
    expect(read(old).rows[0]?.[0]).toBe("Hafenstraße am Kai");
    const wide = Buffer.concat([Buffer.from([0xff, 0xfe]), Buffer.from("a;b\nÖl;1\n", "utf16le")]);
    expect(read(wide)).toEqual({ columns: ["a", "b"], rows: [["Öl", "1"]] });
  });

  test("a quotation mark that never ends is refused, with where it begins", () => {
    expect(() => read('a,b\n1,2\n"3,4\n5,6\n')).toThrow(/quotation mark.*not closed/);
  });

  test("rows that are shorter or longer than the names", () => {
    expect(read("a,b\n1\n1,2,3")).toEqual({
      columns: ["a", "b", "Column 3"],
      rows: [
        ["1", "", ""],
        ["1", "2", "3"],
      ],
    });
  });
});
