import { type Book, findBook, getBook, nameForReference } from "./books.ts";
import type { Passage, VerseCounts, VerseRef } from "./passage.ts";

export const REFERENCE_MAX_LENGTH = 200;
export const REFERENCE_MAX_VERSES = 300;

export type ReferenceProblem =
  | { readonly kind: "notAReference"; readonly typed: string }
  | { readonly kind: "unknownBook"; readonly typed: string }
  | {
      readonly kind: "noSuchChapter";
      readonly book: string;
      readonly chapter: number;
      readonly chapters: number;
    }
  | {
      readonly kind: "noSuchVerse";
      readonly book: string;
      readonly chapter: number;
      readonly verse: number;
      readonly verses: number;
    }
  | { readonly kind: "backwards"; readonly typed: string }
  | { readonly kind: "tooLong"; readonly verses: number };

export type ReferenceResult =
  | { readonly passages: readonly Passage[] }
  | { readonly problem: ReferenceProblem };

const BOOK_PART =
  /^((?:[1-3]|i{1,3}|first|second|third|1st|2nd|3rd)?\s*\.?\s*\p{L}[\p{L}\p{M}.' ]*?)\s*\.?\s*(\d.*)?$/iu;
const NUMBERS =
  /^(\d{1,3})(?:\s*[:.v]\s*(\d{1,3})[a-z]?)?(?:\s*[-–—]\s*(\d{1,3})[a-z]?(?:\s*[:.v]\s*(\d{1,3})[a-z]?)?)?$/i;

/**
 * Reads a typed reference, such as "Ps 107:23-30; jn 1:1-5, 14" or "Gen 1:26-2:3", against the verses a text has.
 * Semicolons part passages and may name a new book; commas add verses or ranges of the same chapter.
 * @returns passages in the order typed, or the first thing that is wrong with it
 */
export function parseReference(typed: string, counts: VerseCounts): ReferenceResult {
  const text = typed.normalize("NFC").replace(/\s+/g, " ").trim();
  if (text === "" || text.length > REFERENCE_MAX_LENGTH) return { problem: { kind: "notAReference", typed } };
  const passages: Passage[] = [];
  let book: Book | undefined;
  for (const part of text.split(";")) {
    const trimmed = part.trim();
    if (trimmed === "") continue;
    let numbers = trimmed;
    if (!/^\d+\s*([:.,\-–—]|$)/.test(trimmed)) {
      const match = BOOK_PART.exec(trimmed);
      if (!match) return { problem: { kind: "notAReference", typed: trimmed } };
      book = findBook(match[1] as string);
      if (!book) return { problem: { kind: "unknownBook", typed: (match[1] as string).trim() } };
      numbers = match[2] ?? "";
    }
    if (!book) return { problem: { kind: "notAReference", typed: trimmed } };
    const found = readNumbers(book.code, numbers, counts);
    if ("problem" in found) return found;
    passages.push(...found.passages);
  }
  if (passages.length === 0) return { problem: { kind: "notAReference", typed } };
  const verses = passages.reduce((sum, passage) => sum + countVerses(passage, counts), 0);
  if (verses > REFERENCE_MAX_VERSES) return { problem: { kind: "tooLong", verses } };
  return { passages };
}

function readNumbers(book: string, numbers: string, counts: VerseCounts): ReferenceResult {
  const chapters = counts.get(book) ?? [];
  if (numbers === "") {
    if (chapters.length !== 1) return { problem: { kind: "notAReference", typed: getBook(book).name } };
    return { passages: [wholeChapters(book, 1, 1, chapters)] };
  }
  const passages: Passage[] = [];
  /** The chapter that a number after a comma counts verses of; undefined while whole chapters are listed. */
  let chapter: number | undefined;
  for (const piece of numbers.split(",")) {
    const match = NUMBERS.exec(piece.trim());
    if (!match) return { problem: { kind: "notAReference", typed: piece.trim() || numbers } };
    const [first, second, third, fourth] = match
      .slice(1)
      .map((n) => (n === undefined ? undefined : Number(n)));
    if (first === undefined) throw new Error(`A number must lead "${piece}"`);
    const single = chapters.length === 1 && second === undefined && fourth === undefined;
    let from: VerseRef;
    let to: VerseRef;
    if (single || (second === undefined && chapter !== undefined)) {
      const of = single ? 1 : (chapter as number);
      from = { book, chapter: of, verse: first };
      to =
        fourth === undefined
          ? { book, chapter: of, verse: third ?? first }
          : { book, chapter: third as number, verse: fourth };
    } else if (second === undefined) {
      // Whole chapters, or from the beginning of one to a verse of another.
      const last = third ?? first;
      if (last < first) return { problem: { kind: "backwards", typed: piece.trim() } };
      from = { book, chapter: first, verse: 1 };
      to = { book, chapter: last, verse: fourth ?? chapters[last - 1] ?? 1 };
    } else {
      from = { book, chapter: first, verse: second };
      to =
        fourth === undefined
          ? { book, chapter: first, verse: third ?? second }
          : { book, chapter: third as number, verse: fourth };
    }
    const problem = findMissing(from, chapters) ?? findMissing(to, chapters);
    if (problem) return { problem };
    if (to.chapter < from.chapter || (to.chapter === from.chapter && to.verse < from.verse))
      return { problem: { kind: "backwards", typed: piece.trim() } };
    passages.push({ from, to });
    chapter = second === undefined && chapter === undefined && !single ? undefined : to.chapter;
  }
  return { passages };
}

function wholeChapters(book: string, first: number, last: number, chapters: readonly number[]): Passage {
  return {
    from: { book, chapter: first, verse: 1 },
    to: { book, chapter: last, verse: chapters[last - 1] ?? 1 },
  };
}

function findMissing(ref: VerseRef, chapters: readonly number[]): ReferenceProblem | undefined {
  const { book, chapter, verse } = ref;
  const verses = chapters[chapter - 1];
  if (verses === undefined) return { kind: "noSuchChapter", book, chapter, chapters: chapters.length };
  if (verse < 1 || verse > verses) return { kind: "noSuchVerse", book, chapter, verse, verses };
  return undefined;
}

function countVerses({ from, to }: Passage, counts: VerseCounts): number {
  if (from.chapter === to.chapter) return to.verse - from.verse + 1;
  const chapters = counts.get(from.book) ?? [];
  let sum = (chapters[from.chapter - 1] ?? 0) - from.verse + 1 + to.verse;
  for (let chapter = from.chapter + 1; chapter < to.chapter; chapter++) sum += chapters[chapter - 1] ?? 0;
  return sum;
}

/** "Psalm 107:23–30", "Genesis 1:26–2:3", "John 3:16". */
export function formatPassage({ from, to }: Passage): string {
  const start = `${nameForReference(from.book)} ${from.chapter}:${from.verse}`;
  if (from.chapter !== to.chapter) return `${start}–${to.chapter}:${to.verse}`;
  return from.verse === to.verse ? start : `${start}–${to.verse}`;
}

/** What is wrong with a reference, for the person who typed it. */
export function explainReferenceProblem(problem: ReferenceProblem): string {
  switch (problem.kind) {
    case "notAReference":
      return `“${shorten(problem.typed)}” is not a reference. Type book, chapter and verses, such as Ps 107:23-30.`;
    case "unknownBook":
      return `There is no book called “${shorten(problem.typed)}”. Check the spelling, or type a short form such as Ps or Jn.`;
    case "noSuchChapter": {
      const name = getBook(problem.book).name;
      const has =
        problem.chapters === 1
          ? "1 chapter"
          : `${problem.chapters} ${problem.book === "Ps" ? "psalms" : "chapters"}`;
      return problem.book === "Ps"
        ? `There is no Psalm ${problem.chapter}; ${name} has ${has}.`
        : `${name} has no chapter ${problem.chapter}; it has ${has}.`;
    }
    case "noSuchVerse":
      return `${nameForReference(problem.book)} ${problem.chapter} has no verse ${problem.verse}; it has ${problem.verses === 1 ? "1 verse" : `${problem.verses} verses`}.`;
    case "backwards":
      return `“${shorten(problem.typed)}” runs backwards. Put the earlier verse first.`;
    case "tooLong":
      return `That is ${problem.verses} verses; one reading may have ${REFERENCE_MAX_VERSES}. Part it into several readings.`;
  }
}

const shorten = (typed: string) => (typed.length > 40 ? `${typed.slice(0, 39)}…` : typed);
