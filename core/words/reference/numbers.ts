import type { Passage, VersePart, VerseRef } from "./passage.ts";
import { ALSO, TO_END } from "./plain.ts";
import type { ReferenceProblem } from "./problem.ts";

/** Languages that write "3,16" where English writes "3:16", and part verses with a full stop. */
const COMMA_PARTS_VERSES = new Set([
  "de",
  "fr",
  "es",
  "pt",
  "it",
  "pl",
  "cs",
  "da",
  "nb",
  "no",
  "fi",
  "hu",
  "hr",
  "sk",
  "sl",
]);

/** First chapter or verse, verse with its part or "f"/"ff" (and the next, to the end), then the same for the end. */
const NUMBERS =
  /^(\d{1,3})(?:\s*:\s*(\d{1,3})\s*)?(ff?|[abc])?(?:\s*-\s*(\d{1,3}|\$)(?:\s*:\s*(\d{1,3}|\$))?\s*([abc])?)?$/i;

export type NumbersRead =
  | { readonly readings: readonly (readonly Passage[])[] }
  | { readonly problem: ReferenceProblem };

/**
 * What the numbers after a book may mean, likeliest first: "3:16" is one thing, "3,16" a verse or two chapters.
 * Only what the text has counts; where nothing of it exists, what is wrong with the likeliest.
 */
export function readNumbers(
  book: string,
  numbers: string,
  chapters: readonly number[],
  language: string,
): NumbersRead {
  const single = chapters.length === 1;
  const text = numbers.trim().replace(/^:\s*/, single ? "" : ":");
  const readings: (readonly Passage[])[] = [];
  let problem: ReferenceProblem | undefined;
  for (const written of waysToWrite(text, language, single)) {
    const found = readPlain(book, written, chapters);
    if ("problem" in found) problem ??= found.problem;
    else if (!readings.some((known) => JSON.stringify(known) === JSON.stringify(found.passages)))
      readings.push(found.passages);
  }
  if (readings.length > 0) return { readings };
  return { problem: problem ?? { kind: "notAReference", typed: numbers } };
}

/** The numbers with ":" before verses and "," between pieces, in each way that they could be meant. */
function waysToWrite(text: string, language: string, single: boolean): string[] {
  const lists = (from: string) => from.replaceAll(ALSO, ",");
  if (text.includes(":")) return [lists(text).replace(/(\d[abcf]*)\s*\.\s*(?=\d)/g, "$1,")];
  const byDot = () => lists(text).replace(/(\d)\s*\.\s*(?=\d)/g, "$1:");
  const asList = () => lists(text).replace(/(\d[abcf]*)\s*\.\s*(?=\d)/g, "$1,");
  if (single && !/\d\s*[,.]\s*\d/.test(text)) return [asList()];
  const comma = /^(\d{1,3})(\s*,\s*)\d/.exec(text);
  if (comma) {
    const byComma = lists(commaToColon(text));
    const inOrder =
      COMMA_PARTS_VERSES.has(language) || comma[2] === "," || text.includes(".")
        ? [byComma, asList()]
        : [asList(), byComma];
    return single ? [asList(), byComma] : inOrder;
  }
  if (/^\d{1,3}\s*\.\s*\d/.test(text)) return [byDot(), asList()];
  const spaced = /^(\d{1,3}) (?=\d)/.exec(text);
  if (spaced) return [lists(`${spaced[1]}:${text.slice(spaced[0].length)}`)];
  return [asList()];
}

/** "13,4-7.13" is "13:4-7,13"; "3,16-4,2" runs into the next chapter, "13,4-7,9" does not. */
function commaToColon(text: string): string {
  const first = /^(\d{1,3})\s*,\s*(\d{1,3})([abcf]*)/.exec(text);
  if (!first) return text;
  const rest = text
    .slice(first[0].length)
    .replace(/-\s*(\d{1,3})\s*,\s*(?=\d)/g, (whole, to: string) =>
      Number(to) > Number(first[1]) && Number(to) < Number(first[2]) ? `-${to}:` : whole,
    );
  return `${first[1]}:${first[2]}${first[3]}${rest.replace(/\./g, ",")}`;
}

function readPlain(
  book: string,
  numbers: string,
  chapters: readonly number[],
): { readonly passages: readonly Passage[] } | { readonly problem: ReferenceProblem } {
  const passages: Passage[] = [];
  /** The chapter that a number after a comma counts verses of; undefined while whole chapters are listed. */
  let chapter: number | undefined;
  for (const piece of numbers.split(",")) {
    const typed = piece.trim();
    const match = NUMBERS.exec(typed);
    if (!match) return { problem: { kind: "notAReference", typed: typed || numbers } };
    const number = (at: number, end: number) =>
      match[at] === undefined ? undefined : match[at] === TO_END ? end : Number(match[at]);
    const first = Number(match[1]);
    const second = match[2] === undefined ? undefined : Number(match[2]);
    const single = chapters.length === 1 && second === undefined && match[5] === undefined;
    const isVerses = single || second !== undefined || chapter !== undefined;
    const of = single ? 1 : second === undefined ? chapter : first;
    const third = number(4, isVerses ? (chapters[(of ?? 1) - 1] ?? first) : chapters.length);
    const fourth = number(5, chapters[(third ?? 1) - 1] ?? 1);
    const mark = match[3]?.toLowerCase().replace("c", "b");
    const fromPart = mark === "a" || mark === "b" ? mark : undefined;
    const endPart = match[6]?.toLowerCase().replace("c", "b") as VersePart | undefined;
    const following = mark === "f" || mark === "ff" ? mark : undefined;
    const isChapters = second === undefined && !single && chapter === undefined;
    if (isChapters && mark !== undefined) return { problem: { kind: "notAReference", typed } };
    const verse = second ?? first;
    const from: VerseRef = isChapters
      ? { book, chapter: first, verse: 1 }
      : { book, chapter: of as number, verse };
    let to: VerseRef;
    if (isChapters) {
      // Whole chapters, or from the beginning of one to a verse of another.
      const last = third ?? first;
      if (last < first) return { problem: { kind: "backwards", typed } };
      to = { book, chapter: last, verse: fourth ?? chapters[last - 1] ?? 1 };
    } else if (fourth !== undefined) to = { book, chapter: third as number, verse: fourth };
    else to = { book, chapter: of as number, verse: third ?? verse };
    if (following) {
      const last = chapters[from.chapter - 1] ?? from.verse;
      to = {
        ...from,
        verse: following === "ff" ? Math.max(last, from.verse) : Math.min(from.verse + 1, last),
      };
    }
    const problem = findMissing(from, chapters) ?? findMissing(to, chapters);
    if (problem) return { problem };
    if (to.chapter < from.chapter || (to.chapter === from.chapter && to.verse < from.verse))
      return { problem: { kind: "backwards", typed } };
    passages.push({ from, to, ...partsOf(third === undefined, fromPart, endPart) });
    chapter = isChapters ? undefined : to.chapter;
  }
  return { passages };
}

/** "4a" alone ends in its middle, "4b" begins there; of a range only a first "b" and a last "a" cut anything. */
function partsOf(
  isOne: boolean,
  fromPart: VersePart | undefined,
  endPart: VersePart | undefined,
): Pick<Passage, "fromPart" | "toPart"> {
  const last = isOne ? fromPart : endPart;
  return { ...(fromPart === "b" && { fromPart }), ...(last === "a" && { toPart: last }) };
}

function findMissing(ref: VerseRef, chapters: readonly number[]): ReferenceProblem | undefined {
  const { book, chapter, verse } = ref;
  const verses = chapters[chapter - 1];
  if (verses === undefined) return { kind: "noSuchChapter", book, chapter, chapters: chapters.length };
  if (verse < 1 || verse > verses) return { kind: "noSuchVerse", book, chapter, verse, verses };
  return undefined;
}
