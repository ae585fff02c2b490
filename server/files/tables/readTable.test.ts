import { zipSync } from "fflate";
import { describe, expect, test } from "vitest";
import * as Xlsx from "xlsx";
import { feedDocSchema } from "../../../core/feeds/feed.ts";
import { readTable } from "./readTable.ts";

const bytesOf = (text: string) => new TextEncoder().encode(text);
const settings = (format: object, more: object = {}) =>
  feedDocSchema.parse({ name: "f", source: { kind: "upload", fileName: "" }, format, ...more });
const read = async (bytes: Uint8Array | string, format: object, more: object = {}) => {
  const accepted = await readTable({
    bytes: typeof bytes === "string" ? bytesOf(bytes) : bytes,
    settings: settings(format, more),
    before: null,
  });
  return "fault" in accepted ? accepted.fault.says : accepted.table;
};

describe("JSON", () => {
  const json = { kind: "json" };
  test("a list of objects, however deep, with what some of them lack", async () => {
    const text = JSON.stringify([
      { boat: "Kittiwake", score: { home: 3, away: null } },
      { boat: "Tern", late: true },
    ]);
    expect(await read(text, json)).toEqual({
      columns: ["boat", "score home", "score away", "late"],
      rows: [
        ["Kittiwake", "3", "", ""],
        ["Tern", "", "", "yes"],
      ],
    });
  });

  // The document and pointers of RFC 6901, section 5.
  test.each([
    ["/foo", [["bar"], ["baz"]]],
    ["/a~1b", "what stands at “/a~1b” in it is no list."],
    ["/m~0n", "what stands at “/m~0n” in it is no list."],
    ["/nothing", "there is nothing at “/nothing” in it."],
  ])("a pointer as RFC 6901 has it: %s", async (path, expected) => {
    const document = { foo: ["bar", "baz"], "": 0, "a/b": 1, "m~n": 8 };
    const table = await read(JSON.stringify(document), { ...json, path });
    expect(typeof table === "string" ? table : table.rows).toEqual(expected);
  });

  test("the only list is found without a path; lists of lists have numbered columns", async () => {
    expect(await read('{"at":"19:00","rows":[[1,"a"],[2,"b"]]}', json)).toEqual({
      columns: ["Column 1", "Column 2"],
      rows: [
        ["1", "a"],
        ["2", "b"],
      ],
    });
  });

  test("half of it, and a million brackets, are refused in words", async () => {
    expect(await read('[{"boat":"Kitti', json)).toMatch(/not whole JSON/);
    expect(await read("[".repeat(1_000_000), json)).toMatch(/not whole JSON/);
    expect(await read("<html>busy</html>", json)).toMatch(/not whole JSON/);
  });
});

describe("XML", () => {
  const xml = { kind: "xml" };
  const race = `<?xml version="1.0"?><regatta at="19:00"><head><title>Race</title></head><boats>
    <boat lane="1"><name>Kittiwake &amp; Co</name><time unit="s">12.5</time></boat>
    <boat lane="2"><name>Tern</name></boat></boats></regatta>`;
  const rows = {
    columns: ["lane", "name", "time", "time unit"],
    rows: [
      ["1", "Kittiwake & Co", "12.5", "s"],
      ["2", "Tern", "", ""],
    ],
  };
  test("rows are found, or named by their path; attributes and elements are columns", async () => {
    expect(await read(race, xml)).toEqual(rows);
    expect(await read(race, { ...xml, path: "/regatta/boats/boat" })).toEqual(rows);
    expect(await read(race, { ...xml, path: "regatta/crews" })).toBe(
      "there is nothing at “regatta/crews” in it.",
    );
  });

  test("a document type is refused before anything of it is read; so is what is not whole or too deep", async () => {
    const bomb = `<!DOCTYPE l [<!ENTITY a "ha"><!ENTITY b "&a;&a;&a;">]><l><x>&b;</x></l>`;
    expect(await read(bomb, xml)).toMatch(/document type/);
    expect(await read(race.slice(0, 150), xml)).toMatch(/not whole XML/);
    expect(await read(`${"<a>".repeat(5_000)}${"</a>".repeat(5_000)}`, xml)).toMatch(/deep|not whole/);
  });
});

describe("plain text", () => {
  test("a row a line, or the whole", async () => {
    const text = "Last ferry 22:10\r\n\r\nSoup in the sail room\n";
    expect(await read(text, { kind: "text" })).toEqual({
      columns: ["text"],
      rows: [["Last ferry 22:10"], ["Soup in the sail room"]],
    });
    expect(await read(text, { kind: "text", rows: "whole" })).toEqual({
      columns: ["text"],
      rows: [[text.trim()]],
    });
  });
});

describe("XLSX, written by another library", () => {
  const xlsx = { kind: "xlsx" };
  const book = (sheets: Record<string, unknown[][]>, change: (book: Xlsx.WorkBook) => void = () => {}) => {
    const made = Xlsx.utils.book_new();
    for (const [name, cells] of Object.entries(sheets))
      Xlsx.utils.book_append_sheet(made, Xlsx.utils.aoa_to_sheet(cells), name);
    change(made);
    return new Uint8Array(Xlsx.write(made, { type: "array", bookType: "xlsx" }) as ArrayBuffer);
  };
  const cells = [
    ["boat", "laps", "sure"],
    ["Kittiwake", 12, true],
    ["Tern", 0.1 + 0.2, false],
  ];
  const table = {
    columns: ["boat", "laps", "sure"],
    rows: [
      ["Kittiwake", "12", "yes"],
      ["Tern", "0.3", "no"],
    ],
  };

  test("the first sheet, a named one, an area, a named range", async () => {
    const bytes = book({ Race: cells, Other: [["x"], ["1"]] }, (made) => {
      made.Workbook = { Names: [{ Name: "Podium", Ref: "Race!$A$1:$B$2" }] };
    });
    expect(await read(bytes, xlsx)).toEqual(table);
    expect(await read(bytes, { ...xlsx, range: "Other" })).toEqual({ columns: ["x"], rows: [["1"]] });
    const podium = { columns: ["boat", "laps"], rows: [["Kittiwake", "12"]] };
    expect(await read(bytes, { ...xlsx, range: "Race!A1:B2" })).toEqual(podium);
    expect(await read(bytes, { ...xlsx, range: "Podium" })).toEqual(podium);
    expect(await read(bytes, { ...xlsx, range: "Crews" })).toBe("it has no sheet or range “Crews”.");
  });

  test("formulas give what was kept with them, errors among them; a merged cell says its words once", async () => {
    const bytes = book(
      {
        Race: [
          ["boat", "laps"],
          ["Kittiwake", 1],
          ["Tern", 2],
          ["Both", ""],
        ],
      },
      (made) => {
        const sheet = made.Sheets.Race as Xlsx.WorkSheet;
        sheet.B2 = { t: "n", v: 7, f: "3+4" };
        sheet.B3 = { t: "e", v: 0x07, f: "1/0" };
        sheet["!merges"] = [{ s: { r: 3, c: 0 }, e: { r: 3, c: 1 } }];
      },
    );
    expect(await read(bytes, xlsx)).toEqual({
      columns: ["boat", "laps"],
      rows: [
        ["Kittiwake", "7"],
        ["Tern", "#DIV/0!"],
        ["Both", ""],
      ],
    });
  });

  test.each([false, true])("days of a workbook that counts from 1904: %s", async (date1904) => {
    const day = date1904 ? 44_899 : 46_361;
    const bytes = book({ Race: [["on"], [day]] }, (made) => {
      made.Workbook = { WBProps: { date1904 } };
      (made.Sheets.Race as Xlsx.WorkSheet).A2 = { t: "n", v: day, z: "yyyy-mm-dd" };
    });
    expect(await read(bytes, xlsx)).toEqual({ columns: ["on"], rows: [["2026-12-05"]] });
  });

  test("half a file, and an archive that would grow without end, are refused", async () => {
    const whole = book({ Race: cells });
    expect(await read(whole.slice(0, whole.length / 2), xlsx)).toMatch(/not a whole XLSX/);
    const bomb = zipSync({ "xl/worksheets/sheet1.xml": new Uint8Array(30_000_000) }, { level: 9 });
    expect(await read(bomb, xlsx)).toBe("it would unpack to more than is safe.");
    expect(await read("not a zip", xlsx)).toMatch(/not a whole XLSX/);
  });
});

test("100 000 rows are counted and refused, cells without end too", async () => {
  const many = `a,b\n${"1,2\n".repeat(100_000)}`;
  expect(await read(many, { kind: "csv" })).toBe("it has 100000 rows, and may have 5000.");
  expect(await read(`a\n${"x".repeat(2_001)}\n`, { kind: "csv" })).toMatch(
    /row 1 has more than 2000 letters/,
  );
  expect(await read(`${"a,".repeat(80)}a\n${"1,".repeat(80)}1\n`, { kind: "csv" })).toMatch(
    /81 columns, and may have 60/,
  );
});
