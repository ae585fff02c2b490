import { readFileSync } from "node:fs";
import { join } from "node:path";
import { bcv_parser } from "bible-passage-reference-parser/esm/bcv_parser.js";
import * as german from "bible-passage-reference-parser/esm/lang/de.js";
import * as english from "bible-passage-reference-parser/esm/lang/en.js";
import * as spanish from "bible-passage-reference-parser/esm/lang/es.js";
import * as french from "bible-passage-reference-parser/esm/lang/fr.js";
import * as portuguese from "bible-passage-reference-parser/esm/lang/pt.js";
import { beforeAll, describe, expect, test } from "vitest";
import { readScriptureFile } from "../../../test-support/onDisk.ts";
import { BOOKS, bookName, findBook } from "./books.ts";
import type { VerseCounts } from "./passage.ts";
import { explainReferenceProblem, formatPassage, parseReference } from "./reference.ts";

const counts = new Map<string, number[]>();
let verseTotal = 0;
const missing: string[] = [];

beforeAll(() => {
  const file = join(import.meta.dirname, "../../../texts/scripture/web.osis.xml.gz");
  const { verses } = readScriptureFile(readFileSync(file));
  verseTotal = verses.length;
  const seen = new Set<string>();
  for (const { book, chapter, verse } of verses) {
    const chapters = counts.get(book) ?? [];
    counts.set(book, chapters);
    chapters[chapter - 1] = Math.max(chapters[chapter - 1] ?? 0, verse);
    seen.add(`${book}.${chapter}.${verse}`);
  }
  for (const [book, chapters] of counts)
    for (const [i, last] of chapters.entries())
      for (let verse = 1; verse <= last; verse++)
        if (!seen.has(`${book}.${i + 1}.${verse}`)) missing.push(`${book}.${i + 1}.${verse}`);
}, 60_000);

function read(typed: string, language = "en"): string {
  const result = parseReference(typed, counts as VerseCounts, language);
  if ("problem" in result) return `! ${result.problem.kind}`;
  return result.passages
    .map(({ from, to }) => {
      const start = `${from.book}.${from.chapter}.${from.verse}`;
      const end = `${to.book}.${to.chapter}.${to.verse}`;
      return start === end ? start : `${start}-${end}`;
    })
    .join(",");
}

describe("the shipped English text", () => {
  test("has the books, chapters and verses its README says (the usual English numbering, less what it leaves out)", () => {
    expect(counts.size).toBe(66);
    expect([...counts.keys()]).toEqual(BOOKS.map(({ code }) => code));
    expect([...counts.values()].reduce((sum, chapters) => sum + chapters.length, 0)).toBe(1_189);
    expect(verseTotal).toBe(31_095);
    // Common practice: 31 102 verses in the usual English numbering. Some are left out within a chapter, the rest at its end.
    expect(missing).toEqual(expect.arrayContaining(["Luke.17.36", "Acts.15.34"]));
    expect(counts.get("Rom")?.[15]).toBe(24);
  });
});

describe("references", () => {
  test("agree with the reference library over a generated list of several thousand", () => {
    const reference = new bcv_parser(english);
    reference.set_options({ book_alone_strategy: "full", sequence_combination_strategy: "separate" });
    // A fixed generator (mulberry32, seed 1): the same list every time.
    let seed = 1;
    const random = (below: number) => {
      seed = (seed + 0x6d2b79f5) | 0;
      let t = Math.imul(seed ^ (seed >>> 15), 1 | seed);
      t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
      return Math.floor((((t ^ (t >>> 14)) >>> 0) / 4294967296) * below);
    };
    let compared = 0;
    const different: string[] = [];
    for (const { code, name } of BOOKS) {
      const chapters = counts.get(code) ?? [];
      for (let i = 0; i < 60; i++) {
        const chapter = 1 + random(chapters.length);
        const last = chapters[chapter - 1] ?? 1;
        const a = 1 + random(last);
        const b = a + random(Math.min(last - a, 20) + 1);
        const bookName = [name, code, name.toLowerCase()][i % 3];
        const forms = [
          `${bookName} ${chapter}:${a}`,
          `${bookName} ${chapter}:${a}-${b}`,
          `${bookName} ${chapter}:${a}–${b}`,
          ...(chapters.length > 1 ? [`${bookName} ${chapter}`] : []),
          ...(b + 1 < last ? [`${bookName} ${chapter}:${a}-${b},${last}`] : []),
        ];
        const typed = forms[random(forms.length)] as string;
        // The library calls a range of one verse a single verse, and knows verses this text leaves out.
        const theirs = reference.parse(typed).osis();
        const whole = /^(\w+)\.(\d+)$/.exec(theirs);
        const expanded = whole
          ? `${whole[1]}.${whole[2]}.1-${whole[1]}.${whole[2]}.${counts.get(whole[1] as string)?.[Number(whole[2]) - 1]}`
          : theirs;
        compared++;
        if (read(typed) !== expanded) different.push(`${typed}: ours ${read(typed)}, theirs ${expanded}`);
      }
    }
    expect(compared).toBe(3_960);
    // Adjoining verses are not generated: the library joins them, we keep them as typed.
    expect(different).toEqual([]);
  });

  test.each([
    ["es", spanish],
    ["de", german],
    ["fr", french],
    ["pt", portuguese],
  ] as const)("names of books in %s agree with the reference library's", (language, theirNames) => {
    const reference = new bcv_parser(theirNames);
    reference.set_options({ book_alone_strategy: "full", sequence_combination_strategy: "separate" });
    const different: string[] = [];
    let compared = 0;
    for (const { code } of BOOKS) {
      const name = bookName(code, language);
      const chapters = counts.get(code) ?? [];
      for (let i = 0; i < 20; i++) {
        const chapter = 1 + ((i * 7) % chapters.length);
        const last = chapters[chapter - 1] ?? 1;
        const a = 1 + ((i * 11) % last);
        const b = Math.min(last, a + (i % 5));
        const typed = `${i % 2 ? name.toLowerCase() : name} ${chapter}:${a}${b > a ? `-${b}` : ""}`;
        compared++;
        const ours = read(typed, language);
        if (ours !== reference.parse(typed).osis())
          different.push(`${typed}: ours ${ours}, theirs ${reference.parse(typed).osis()}`);
      }
    }
    expect(compared).toBe(1_320);
    expect(different).toEqual([]);
  });

  test.each([
    ["Salmo 107:23-30; Jn 1:1-5", "Ps.107.23-Ps.107.30,John.1.1-John.1.5"],
    ["1 Corintios 13:4", "1Cor.13.4"],
    ["Apocalipsis 21:1-4", "Rev.21.1-Rev.21.4"],
    ["2ª Timoteo 1:7", "2Tim.1.7"],
    ["San Juan 3:16", "John.3.16"],
    ["Cantares 2:8", "Song.2.8"],
  ])("in Spanish: %s", (typed, expected) => expect(read(typed, "es")).toBe(expected));

  test("a Spanish name is understood for an English text, and the other way round", () => {
    expect(read("Hechos 2:1")).toBe("Acts.2.1");
    expect(read("Acts 2:1", "es")).toBe("Acts.2.1");
    expect(read("1. Mose 1:1")).toBe("Gen.1.1");
  });

  test("halves of verses, the verse after, and all to the end of the chapter", () => {
    const parts = (typed: string) => {
      const result = parseReference(typed, counts as VerseCounts);
      if ("problem" in result) throw new Error(explainReferenceProblem(result.problem));
      return result.passages.map((passage) => formatPassage(passage)).join("; ");
    };
    expect(parts("Jn 3:16a")).toBe("John 3:16a");
    expect(parts("Jn 3:16b")).toBe("John 3:16b");
    expect(parts("Jn 3:16b-18a")).toBe("John 3:16b–18a");
    // A first "a" and a last "b" leave nothing out.
    expect(parts("Jn 3:16a-18b")).toBe("John 3:16–18");
    expect(parts("Jude 3b")).toBe("Jude 1:3b");
    expect(parts("Ps 23:1f")).toBe("Psalm 23:1–2");
    expect(parts("Ps 23:4ff")).toBe("Psalm 23:4–6");
    expect(read("Ps 23a")).toBe("! notAReference");
  });

  test.each([
    ["Ps 107:23-30; jn 1:1-5", "Ps.107.23-Ps.107.30,John.1.1-John.1.5"],
    ["gen 1:26-2:3", "Gen.1.26-Gen.2.3"],
    ["1 john 1:9", "1John.1.9"],
    ["II Cor 5:17", "2Cor.5.17"],
    ["first peter 2:9", "1Pet.2.9"],
    ["Jude 24-25", "Jude.1.24-Jude.1.25"],
    ["Jude", "Jude.1.1-Jude.1.25"],
    ["Ps 23; 24:1-2", "Ps.23.1-Ps.23.6,Ps.24.1-Ps.24.2"],
    ["Matt 5:3, 5-7, 10", "Matt.5.3,Matt.5.5-Matt.5.7,Matt.5.10"],
    ["Song of Solomon 2:8", "Song.2.8"],
    ["philipp 4:4", "Phil.4.4"],
    ["Ps 1-2", "Ps.1.1-Ps.2.12"],
  ])("%s", (typed, expected) => expect(read(typed)).toBe(expected));

  test.each([
    ["Ps 151:2", "There is no Psalm 151; Psalms has 150 psalms."],
    ["Hezekiah 3", "There is no book called “Hezekiah”."],
    ["Ps 117:3", "Psalm 117 has no verse 3; it has 2 verses."],
    ["Ps 107:30-23", "runs backwards"],
    ["John 2-1", "runs backwards"],
    ["Ps 107:", "is not a reference"],
    ["Ps one", "There is no book called “Ps one”"],
    [":::", "is not a reference"],
    ["John", "is not a reference"],
    ["Ps 119; Ps 118; Ps 117; Ps 78; Ps 89", "one reading may have 300"],
    ["Gen 51:1", "Genesis has no chapter 51; it has 50 chapters."],
    ["Ps 0:1", "There is no Psalm 0"],
    ["Ps 1:0", "has no verse 0"],
  ])("%s is told in a sentence", (typed, sentence) => {
    const result = parseReference(typed, counts as VerseCounts);
    if (!("problem" in result)) throw new Error(`understood as ${read(typed)}`);
    expect(explainReferenceProblem(result.problem)).toContain(sentence);
  });

  test("are written the usual way", () => {
    const passages = parseReference("ps 107:23-30; gen 1:26-2:3; jn 3:16", counts as VerseCounts);
    if ("problem" in passages) throw new Error("not understood");
    expect(passages.passages.map((passage) => formatPassage(passage))).toEqual([
      "Psalm 107:23–30",
      "Genesis 1:26–2:3",
      "John 3:16",
    ]);
  });

  test("a short form that could be two books is not guessed", () => {
    expect(findBook("jo")).toBeUndefined();
    expect(findBook("ju")).toBeUndefined();
    expect(findBook("jud")?.code).toBe("Jude");
  });
});
