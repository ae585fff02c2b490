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
    expect(note).toBe("One book is not among the 66 known here and left out: Tob.");
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
});
