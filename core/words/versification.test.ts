import { readFileSync } from "node:fs";
import { join } from "node:path";
import { beforeAll, describe, expect, test } from "vitest";
import { type ParsedVerse, readScriptureFile } from "../../test-support/onDisk.ts";
import type { VerseRef } from "./reference/passage.ts";
import { type NumberedText, samePassages, sameVerses } from "./versification.ts";
import { ENGLISH_TO_HEBREW, PSALM_TITLES } from "./versificationTables.ts";

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
  Object.assign(WEB, { counts: countsOf(englishVerses) });
  Object.assign(RV, { counts: countsOf(spanishVerses) });
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
const countsOf = (verses: readonly VerseRef[]) => {
  const counts = new Map<string, number[]>();
  for (const { book, chapter, verse } of verses) {
    const chapters = counts.get(book) ?? [];
    counts.set(book, chapters);
    chapters[chapter - 1] = Math.max(chapters[chapter - 1] ?? 0, verse);
  }
  return counts;
};
const WEB: NumberedText = { code: "web", counts: new Map() };
const RV: NumberedText = { code: "rv1909", counts: new Map() };
const there = (text: string) => sameVerses(ref(text), WEB, RV).map(keyOf);
const back = (text: string) => sameVerses(ref(text), RV, WEB).map(keyOf);

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
    expect(samePassages(jonah, WEB, RV)).toEqual([{ from: ref("Jonah 1:15"), to: ref("Jonah 2:3") }]);
    expect(samePassages(jonah, WEB, WEB)).toEqual([jonah]);
    expect(
      samePassages({ ...jonah, toPart: "a" }, WEB, { code: "another", counts: WEB.counts })[0]?.toPart,
    ).toBe("a");
  });

  test("every verse of either text leads to one that the other prints, but for those its README names", () => {
    const lost = (
      verses: readonly ParsedVerse[],
      from: NumberedText,
      to: NumberedText,
      texts: Map<string, string>,
    ) =>
      verses
        .filter((verse) => sameVerses(verse, from, to).every((other) => !texts.has(keyOf(other))))
        .map(keyOf);
    expect(lost(englishVerses, WEB, RV, spanish)).toEqual([]);
    expect(lost(spanishVerses, RV, WEB, english)).toEqual([
      "Luke 17:36",
      "Acts 8:37",
      "Acts 15:34",
      "Acts 24:7",
    ]);
  });

  test("every Spanish verse is the counterpart of some English one", () => {
    const reached = new Set(englishVerses.flatMap((verse) => sameVerses(verse, WEB, RV).map(keyOf)));
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

describe("texts that are numbered the Hebrew way, or the Greek and Latin", () => {
  const usual = () => new Map([...WEB.counts].map(([book, chapters]) => [book, [...chapters]]));
  /** The usual numbers with the chapters that a table names counted the other way. */
  const hebrew = (): NumberedText => {
    const counts = usual();
    for (const { book, sign, chapters } of ENGLISH_TO_HEBREW) {
      const own = counts.get(book) as number[];
      const english = [...(WEB.counts.get(book) as readonly number[])];
      for (const { chapter, rules } of chapters)
        for (const rule of rules)
          for (let verse = rule.first; verse <= rule.last; verse++) {
            expect(verse, `${book} ${chapter}`).toBeLessThanOrEqual(english[chapter - 1] as number);
            for (const [c, v] of rule.targetsOf(chapter, verse)) own[c - 1] = Math.max(own[c - 1] ?? 0, v);
          }
      if (sign) own[sign.chapter - 1] = sign.verses;
    }
    const psalms = counts.get("Ps") as number[];
    for (const [psalm, titles] of PSALM_TITLES)
      psalms[psalm - 1] = (psalms[psalm - 1] as number) + titles - (psalm === 13 ? 1 : 0);
    return { code: "hebrew", counts };
  };

  test.each([
    ["Gen 31:55", "Gen 32:1"],
    ["Gen 32:1", "Gen 32:2"],
    ["Exod 8:1", "Exod 7:26"],
    ["Exod 8:32", "Exod 8:28"],
    ["Joel 2:28", "Joel 3:1"],
    ["Joel 3:21", "Joel 4:21"],
    ["Mal 4:6", "Mal 3:24"],
    ["Ps 51:1", "Ps 51:3"],
    ["Ps 23:1", "Ps 23:1"],
    ["Ps 3:8", "Ps 3:9"],
    ["Ps 13:6", "Ps 13:6"],
    ["John 3:16", "John 3:16"],
  ])("%s is %s in Hebrew numbers, and back", (english, other) => {
    const text = hebrew();
    expect(sameVerses(ref(english), WEB, text).map(keyOf)).toContain(other);
    expect(sameVerses(ref(other), text, WEB).map(keyOf)).toContain(english);
  });

  test("each line of the table sums up: the chapter that is its sign has just so many verses", () => {
    for (const { book, sign, chapters } of ENGLISH_TO_HEBREW) {
      const last = Math.max(
        ...chapters.flatMap(({ chapter, rules }) =>
          rules.flatMap((rule) =>
            rule.targetsOf(chapter, rule.last).flatMap(([c, v]) => (c === sign?.chapter ? [v] : [])),
          ),
        ),
      );
      expect(last, `${book} ${sign?.chapter}`).toBe(sign?.verses);
    }
  });

  /** Common practice: the Hebrew psalter has 2 527 verses, the usual English one 2 461. */
  test("the psalms of both count as they are known to", () => {
    const sum = (text: NumberedText) =>
      (text.counts.get("Ps") as readonly number[]).reduce((a, b) => a + b, 0);
    expect(sum(WEB)).toBe(2_461);
    expect(sum(hebrew())).toBe(2_527);
  });

  test.each([
    ["Ps 23:1", "Ps 22:1"],
    ["Ps 10:1", "Ps 9:22"],
    ["Ps 116:10", "Ps 115:1"],
    ["Ps 147:12", "Ps 147:1"],
    ["Ps 107:23", "Ps 106:23"],
    ["Ps 150:6", "Ps 150:6"],
    ["Ps 51:1", "Ps 50:3"],
  ])("%s is %s in the Latin psalter, and back", (english, other) => {
    const counts = usual();
    const psalms = counts.get("Ps") as number[];
    psalms[8] = 39;
    psalms[49] = 21;
    const text = { code: "latin", counts };
    expect(sameVerses(ref(english), WEB, text).map(keyOf)).toContain(other);
    expect(sameVerses(ref(other), text, WEB).map(keyOf)).toContain(english);
  });

  test("Romans 16 of the Spanish text has its doxology, and the English one beside it where that prints it", () => {
    const chapter = { from: ref("Rom 16:20"), to: ref("Rom 16:27") };
    expect(samePassages(chapter, RV, WEB)).toEqual([
      { from: ref("Rom 16:20"), to: ref("Rom 16:24") },
      { from: ref("Rom 14:23"), to: ref("Rom 14:23") },
    ]);
  });
});
