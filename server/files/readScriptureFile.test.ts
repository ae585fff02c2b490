import { gzipSync } from "node:zlib";
import { strToU8, zipSync } from "fflate";
import { describe, expect, test } from "vitest";
import { readScriptureFile } from "./readScriptureFile.ts";
import { unzipFiles } from "./unzip.ts";

const OSIS =
  '<osis><osisText xml:lang="en"><verse osisID="Jonah.1.1">Now</verse><verse osisID="Tob.1.1">x</verse><verse osisID="Gen.1.1">First</verse><verse osisID="Gen.1.1">twice</verse></osisText></osis>';
const usfm = (id: string, words: string) => strToU8(`\\id ${id}\n\\c 1\n\\p\n\\v 1 ${words}`);

describe("files of scripture", () => {
  test("verses come in the order of the books, each once; books that are not known are named", () => {
    const { verses, note } = readScriptureFile(strToU8(OSIS));
    expect(verses.map(({ book, words }) => [book, words])).toEqual([
      ["Gen", "First"],
      ["Jonah", "Now"],
    ]);
    expect(note).toBe(
      "One book is not among the 66 known here and left out: Tob. In the file twice, in other words; the first was taken: Gen 1:1.",
    );
  });

  test("gzip, UTF-16, a ZIP of OSIS and a folder of USFM are read", () => {
    expect(readScriptureFile(gzipSync(strToU8(OSIS))).verses).toHaveLength(2);
    const wide = new Uint8Array([0xff, 0xfe, ...Buffer.from(OSIS, "utf16le")]);
    expect(readScriptureFile(wide).verses).toHaveLength(2);
    expect(
      readScriptureFile(zipSync({ "text/web.xml": strToU8(OSIS), "readme.md": strToU8("x") })).verses,
    ).toHaveLength(2);
    const folder = zipSync({ "02-JON.usfm": usfm("JON", "Now"), "01-GEN.usfm": usfm("GEN", "First") });
    expect(readScriptureFile(folder).verses.map(({ book }) => book)).toEqual(["Gen", "Jonah"]);
  });

  test.each([
    ["nothing readable", strToU8("just words"), /neither OSIS nor USFM/],
    ["a ZIP of nothing", zipSync({ "a.txt": strToU8("x") }), /neither OSIS nor USFM/],
    ["half a ZIP", zipSync({ "a.usfm": usfm("GEN", "x") }).slice(0, 40), /not a whole ZIP/],
    ["a broken gzip", gzipSync(strToU8(OSIS)).subarray(0, 30), /broken/],
    ["a gzip bomb", gzipSync(new Uint8Array(40 * 1024 * 1024)), /more than 32 MB/],
    ["no known book", strToU8('<osis><verse osisID="Tob.1.1">x</verse></osis>'), /none of the 66/],
  ])("%s is refused in a sentence", (_, bytes, sentence) => {
    expect(() => readScriptureFile(bytes)).toThrow(sentence);
  });

  test("a ZIP bomb is refused before it is unpacked, by ratio, by size and by count", () => {
    const ratio = zipSync({ "a.xml": new Uint8Array(30 * 1024 * 1024) });
    const before = process.memoryUsage().arrayBuffers;
    expect(ratio.length).toBeLessThan(100_000);
    expect(() => readScriptureFile(ratio)).toThrow(/more than is safe/);
    expect(process.memoryUsage().arrayBuffers - before).toBeLessThan(5 * 1024 * 1024);
    const many = zipSync(
      Object.fromEntries(Array.from({ length: 2_001 }, (_, i) => [`${i}.usfm`, strToU8("x")])),
      { level: 0 },
    );
    expect(() => unzipFiles(many, () => true)).toThrow(/2000 files/);
  });

  test("parts of a verse, several books in a file, another encoding and an unclosed note lose nothing", () => {
    const usfm =
      "\\id GEN\n\\c 1\n\\p\n\\v 1a In the beginning\n\\q\n\\v 1b the lamp was lit\n\\v 2 And \\f + \\ft never closed\n\\p\n\\v 3 it shone\n\\id EXO\n\\c 1\n\\v 1 These are the names";
    const read = readScriptureFile(new TextEncoder().encode(usfm));
    expect(read.verses.map(({ book, verse, words }) => [book, verse, words])).toEqual([
      ["Gen", 1, "In the beginning the lamp was lit"],
      ["Gen", 2, "And"],
      ["Gen", 3, "it shone"],
      ["Exod", 1, "These are the names"],
    ]);
    expect(read.note).toContain("never closed");
    const latin = new Uint8Array(
      [
        ...'<?xml version="1.0" encoding="iso-8859-1"?><osis><osisText><verse osisID="Gen.1.1">Gänse</verse></osisText></osis>',
      ].map((letter) => letter.charCodeAt(0)),
    );
    expect(readScriptureFile(latin).verses[0]?.words).toBe("Gänse");
  });

  test("verses that are printed together lead to their words by either number", () => {
    const usfm = "\\id GEN\n\\c 1\n\\p\n\\v 3-4 Let there be light, and it was good.\n\\v 5 Day";
    const both = [
      ["Gen", 3, "Let there be light, and it was good."],
      ["Gen", 4, ""],
      ["Gen", 5, "Day"],
    ];
    const shown = (text: string) =>
      readScriptureFile(new TextEncoder().encode(text)).verses.map(({ book, verse, words }) => [
        book,
        verse,
        words,
      ]);
    expect(shown(usfm)).toEqual(both);
    const osis = (id: string) =>
      `<osis><osisText><verse osisID="${id}">Let there be light, and it was good.</verse><verse osisID="Gen.1.5">Day</verse></osisText></osis>`;
    expect(shown(osis("Gen.1.3 Gen.1.4"))).toEqual(both);
    expect(shown(osis("Gen.1.3-Gen.1.4"))).toEqual(both);
  });

  test("a ZIP of several OSIS files is all of them", () => {
    const osis = (id: string) =>
      strToU8(`<osis><osisText><verse osisID="${id}">words</verse></osisText></osis>`);
    const zip = zipSync({ "1.xml": osis("Gen.1.1"), "2.xml": osis("Exod.1.1") });
    expect(readScriptureFile(zip).verses.map(({ book }) => book)).toEqual(["Gen", "Exod"]);
  });
});
