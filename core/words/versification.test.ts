import { readFileSync } from "node:fs";
import { join } from "node:path";
import { beforeAll, describe, expect, test } from "vitest";
import { readScriptureFile } from "../../server/files/readScriptureFile.ts";
import type { ParsedVerse } from "../../server/files/scriptureFile.ts";
import type { VerseRef } from "./reference/passage.ts";
import { samePassage, sameVerses } from "./versification.ts";

/** The two texts as they ship: what they print is the outside reference here. */
const english = new Map<string, string>();
const spanish = new Map<string, string>();
let englishVerses: readonly ParsedVerse[] = [];
let spanishVerses: readonly ParsedVerse[] = [];
const keyOf = ({ book, chapter, verse }: VerseRef) => `${book} ${chapter}:${verse}`;

beforeAll(() => {
  const read = (file: string, into: Map<string, string>) => {
    const { verses } = readScriptureFile(
      readFileSync(join(import.meta.dirname, "../../texts/scripture", file)),
    );
    for (const verse of verses) into.set(keyOf(verse), verse.words);
    return verses;
  };
  englishVerses = read("web.osis.xml.gz", english);
  spanishVerses = read("rv1909.osis.xml.gz", spanish);
}, 60_000);

const ref = (text: string): VerseRef => {
  const [, book, chapter, verse] = /^(\S+) (\d+):(\d+)$/.exec(text) as unknown as [
    string,
    string,
    string,
    string,
  ];
  return { book, chapter: Number(chapter), verse: Number(verse) };
};
const there = (text: string) => sameVerses(ref(text), "web", "rv1909").map(keyOf);
const back = (text: string) => sameVerses(ref(text), "rv1909", "web").map(keyOf);

describe("verses that two texts number differently", () => {
  // What each pair says, in words that both have: names and things, so that a table that is off by one is seen.
  test.each([
    ["Num 12:16", "Num 13:1", "Hazeroth", "Haseroth"],
    ["Num 13:16", "Num 13:17", "Joshua", "Josué"],
    ["Num 30:2", "Num 30:3", "oath", "juramento"],
    ["1Sam 23:29", "1Sam 24:1", "En Gedi", "Engaddi"],
    ["1Sam 24:7", "1Sam 24:8", "Saul", "Saúl"],
    ["1Kgs 22:51", "1Kgs 22:52", "Ahaziah", "Ochôzías"],
    ["1Chr 21:18", "1Chr 21:19", "Gad", "Gad"],
    ["2Chr 33:20", "2Chr 33:19", "Amon", "Amón"],
    ["Job 39:9", "Job 39:12", "ox", "unicornio"],
    ["Job 39:26", "Job 39:29", "hawk", "gavilán"],
    ["Job 40:15", "Job 40:10", "behemoth", "behemoth"],
    ["Hos 11:12", "Hos 12:1", "Judah", "Judá"],
    ["Jonah 1:17", "Jonah 2:1", "Jonah", "Jonás"],
    ["Jonah 2:9", "Jonah 2:10", "Salvation", "salvación"],
    ["2Cor 13:14", "2Cor 13:13", "Holy Spirit", "Espíritu Santo"],
    ["Judg 14:19", "Judg 14:20", "Ashkelon", "Ascalón"],
    ["Ps 107:23", "Ps 107:23", "ships", "navíos"],
    ["John 1:1", "John 1:1", "Word", "Verbo"],
  ])("%s is %s", (a, b, word, palabra) => {
    expect(there(a)).toContain(b);
    expect(english.get(a)?.toLowerCase()).toContain(word.toLowerCase());
    expect(spanish.get(b)?.toLowerCase()).toContain(palabra.toLowerCase());
    expect(back(b)).toContain(a);
  });

  test("verses that are two here and one there, and the other way round", () => {
    expect(back("Job 39:30").join()).toBe(
      "Job 39:27,Job 39:28,Job 39:29,Job 39:30,Job 40:1,Job 40:2,Job 40:3,Job 40:4,Job 40:5",
    );
    expect(there("1Kgs 22:43")).toEqual(["1Kgs 22:43", "1Kgs 22:44"]);
    expect(back("2Sam 20:25")).toEqual(["2Sam 20:25", "2Sam 20:26"]);
  });

  test("what the English text prints elsewhere is found there", () => {
    expect(back("Rom 16:26")).toEqual(["Rom 14:23"]);
    expect(english.get("Rom 14:23")).toContain("mystery");
  });

  test("a passage over the places where the numbers part is the same passage", () => {
    const jonah = { from: ref("Jonah 1:15"), to: ref("Jonah 2:2") };
    expect(samePassage(jonah, "web", "rv1909")).toEqual({ from: ref("Jonah 1:15"), to: ref("Jonah 2:3") });
    expect(samePassage(jonah, "web", "web")).toEqual(jonah);
    expect(samePassage({ ...jonah, toPart: "a" }, "web", "another").toPart).toBe("a");
  });

  test("every verse of either text leads to one that the other prints, but for those its README names", () => {
    const lost = (verses: readonly ParsedVerse[], from: string, to: string, texts: Map<string, string>) =>
      verses
        .filter((verse) => sameVerses(verse, from, to).every((other) => !texts.has(keyOf(other))))
        .map(keyOf);
    expect(lost(englishVerses, "web", "rv1909", spanish)).toEqual([]);
    expect(lost(spanishVerses, "rv1909", "web", english)).toEqual([
      "Luke 17:36",
      "Acts 8:37",
      "Acts 15:34",
      "Acts 24:7",
    ]);
  });

  test("every Spanish verse is the counterpart of some English one", () => {
    const reached = new Set(englishVerses.flatMap((verse) => sameVerses(verse, "web", "rv1909").map(keyOf)));
    expect(spanishVerses.map(keyOf).filter((key) => !reached.has(key))).toEqual([
      "Luke 17:36",
      "Acts 8:37",
      "Acts 15:34",
      "Acts 24:7",
      "Rom 16:25",
      "Rom 16:26",
      "Rom 16:27",
    ]);
  });
});
