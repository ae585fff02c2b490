import { readFileSync } from "node:fs";
import { join } from "node:path";
import { bcv_parser } from "bible-passage-reference-parser/esm/bcv_parser.js";
import * as german from "bible-passage-reference-parser/esm/lang/de.js";
import * as english from "bible-passage-reference-parser/esm/lang/en.js";
import * as spanish from "bible-passage-reference-parser/esm/lang/es.js";
import * as french from "bible-passage-reference-parser/esm/lang/fr.js";
import * as portuguese from "bible-passage-reference-parser/esm/lang/pt.js";
import { describe, expect, test } from "vitest";
import { readScriptureFile } from "../../../test-support/onDisk.ts";
import { bookName } from "./books.ts";
import { TYPED_REFERENCES, type TypedReference } from "./corpus.ts";
import { parseReference } from "./reference.ts";

const counts = new Map<string, number[]>();
const file = join(import.meta.dirname, "../../../texts/scripture/web.osis.xml.gz");
for (const { book, chapter, verse } of readScriptureFile(readFileSync(file)).verses) {
  const chapters = counts.get(book) ?? [];
  counts.set(book, chapters);
  chapters[chapter - 1] = Math.max(chapters[chapter - 1] ?? 0, verse);
}

function ours({ typed, language }: TypedReference): string {
  const result = parseReference(typed, counts, language);
  if ("problem" in result) return `! ${result.problem.kind}`;
  return result.passages
    .map(({ from, to }) => {
      const [start, end] = [from, to].map((ref) => `${ref.book}.${ref.chapter}.${ref.verse}`);
      return start === end ? start : `${start}-${end}`;
    })
    .join(",");
}

/** Ways to write one and the same passage, for books and numbers from a list: what they mean is known beforehand. */
const FORMS: readonly (readonly [string, (name: string, c: number, a: number, b: number) => string])[] = [
  ["en", (name, c, a, b) => `${name} ${c} verses ${a} to ${b}`],
  ["en", (name, c, a, b) => `${name.toLowerCase()} ${c} ${a}-${b}`],
  ["en", (name, c, a, b) => `the book of ${name}, chapter ${c}, verses ${a} - ${b}.`],
  ["en", (name, c, a, b) => `(${name} ${c}.${a}–${b})`],
  ["en", (name, c, a, b) => `${name} ${c} vv ${a}-${b} WEB`],
  ["de", (name, c, a, b) => `${name} ${c},${a}-${b}`],
  ["de", (name, c, a, b) => `${name} Kap. ${c}, Verse ${a} bis ${b}`],
  ["es", (name, c, a, b) => `${name} ${c}, ${a}-${b}`],
  ["es", (name, c, a, b) => `${name} capítulo ${c} versículos ${a} al ${b}`],
  ["fr", (name, c, a, b) => `${name} ${c}, ${a}-${b}`],
  ["pt", (name, c, a, b) => `${name.toLowerCase()} ${c}.${a}-${b}`],
];
const PLACES: readonly (readonly [string, number, number, number])[] = [
  ["Gen", 1, 1, 5],
  ["Exod", 20, 2, 17],
  ["Josh", 1, 6, 9],
  ["1Sam", 16, 6, 13],
  ["Job", 38, 4, 11],
  ["Ps", 107, 23, 30],
  ["Isa", 40, 28, 31],
  ["Mic", 6, 6, 8],
  ["Matt", 5, 3, 12],
  ["Luke", 2, 8, 14],
  ["John", 1, 1, 14],
  ["Rom", 8, 28, 39],
  ["1Cor", 13, 4, 7],
  ["Phil", 4, 4, 7],
  ["1John", 4, 7, 12],
  ["Rev", 21, 1, 4],
];
const GENERATED: readonly TypedReference[] = FORMS.flatMap(([language, form]) =>
  PLACES.map(([book, c, a, b]) => ({
    language,
    typed: form(bookName(book, language), c, a, b),
    means: `${book}.${c}.${a}-${book}.${c}.${b}`,
  })),
);
const ALL = [...TYPED_REFERENCES, ...GENERATED];

describe(`${ALL.length} references as people type them`, () => {
  test("are at least four hundred", () => expect(ALL.length).toBeGreaterThanOrEqual(400));

  test.each(TYPED_REFERENCES)("$language: $typed", (reference) =>
    expect(ours(reference)).toBe(reference.means),
  );

  test("in every form, for every book of the list", () => {
    const wrong = GENERATED.filter((reference) => ours(reference) !== reference.means).map(
      (reference) => `${reference.language}: ${reference.typed} → ${ours(reference)}`,
    );
    expect(wrong).toEqual([]);
  });

  test("where the reference library says otherwise, it is known why", () => {
    const names = { en: english, de: german, es: spanish, fr: french, pt: portuguese };
    const unexplained = ALL.filter((reference) => {
      const { typed, language, means } = reference;
      const library = new bcv_parser(names[language as keyof typeof names]);
      library.set_options({ book_alone_strategy: "full", sequence_combination_strategy: "separate" });
      return inVerses(library.parse(typed).osis()) !== means && why(reference) === undefined;
    });
    expect(unexplained.map(({ language, typed }) => `${language}: ${typed}`)).toEqual([]);
  });

  test("what could be two things says so", () => {
    const others = (typed: string, language = "en") => {
      const result = parseReference(typed, counts, language);
      return "problem" in result ? -1 : result.others.length;
    };
    expect(others("Jn 3,16")).toBe(1);
    expect(others("1 cor 13;4-7")).toBe(1);
    expect(others("Corinthians 13:4")).toBe(1);
    expect(others("John 3:16")).toBe(0);
    expect(others("Joh 3,16", "de")).toBe(1);
    expect(parseReference("pslam 23", counts)).toMatchObject({ spelt: { typed: "pslam", book: "Ps" } });
    expect(parseReference("Jn 3:16 (KJV)", counts)).toMatchObject({ textName: "KJV" });
  });
});

/** Whole chapters and books of the library as verses, as we say them; adjoining chapters that it joined stay one stretch. */
function inVerses(osis: string): string {
  return osis
    .split(",")
    .map((range) => {
      const [from = "", to = from] = range.split("-");
      const [book = "", chapter, verse] = from.split(".");
      const [lastBook = "", lastChapter, lastVerse] = to.split(".");
      const chapters = counts.get(lastBook) ?? [];
      const end = Number(lastChapter ?? chapters.length);
      const start = `${book}.${chapter ?? 1}.${verse ?? 1}`;
      const stop = `${lastBook}.${end}.${lastVerse ?? chapters[end - 1]}`;
      return start === stop ? start : `${start}-${stop}`;
    })
    .join(",");
}

/** Why the library may differ: each kind of reference that it does not know, or reads by another rule. */
function why({ typed, means, language }: TypedReference): string | undefined {
  if (means.startsWith("!")) return "it gives nothing where we say what is wrong";
  if (/\d\s*,\s*\d/.test(typed) && !typed.includes(":"))
    return "it takes a comma for a list; German, Spanish, French and Portuguese print chapter, verse";
  if (/\d\s*(?:and|&|und|y)\s*\d/.test(typed) || /Ps \d+, \d+/.test(typed))
    return "it joins adjoining chapters to one stretch";
  if (/\bend\b/.test(typed)) return "it does not know “end”";
  if (/\df\.?$/.test(typed)) return "it takes one f for ff; common practice is the verse and the next";
  if (/;\d+-\d+$/.test(typed)) return "a slip of the finger, by our rule";
  if (/\(verses/.test(typed)) return "it reads the chapter as well";
  if (/letter|epistle|carta|lettre|épître|Brief|Evangelium|Primera|Segunda|Primeira|ª|erster/i.test(typed))
    return "it does not know the book by that";
  if (/of John 21|Canticles|Apocalypse|Ephesans|Collossians|Matthews|^the book of/i.test(typed))
    return "it does not know that name, or not that spelling";
  if (/Roemer|Hebraeer/.test(typed)) return "it does not know ae for ä";
  if (language !== "en" && /\b(?:Kap|capítulo|vers|versículos?|bis|al)\b|\d a \d/i.test(typed))
    return "it does not know the words for chapter and verse";
  return undefined;
}
