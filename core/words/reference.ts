import { type Book, bookName, findBook, nameForReference } from "./books.ts";
import type { Passage, VerseCounts, VersePart, VerseRef } from "./passage.ts";

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
  /^((?:[1-5]|i{1,3}|1st|2nd|3rd|[1-3][ªº])?\s*\.?\s*\p{L}[\p{L}\p{M}.'’ ]*?)\s*\.?\s*(\d.*)?$/iu;
/** First chapter or verse, verse with its part or "f"/"ff" (and the next, to the end), then the same for the end. */
const NUMBERS =
  /^(\d{1,3})(?:\s*[:.v]\s*(\d{1,3})\s*)?(ff?|[ab])?(?:\s*[-–—]\s*(\d{1,3})(?:\s*[:.v]\s*(\d{1,3}))?\s*([ab])?)?$/i;

/**
 * Reads a typed reference, such as "Ps 107:23-30; jn 1:1-5, 14" or "Gen 1:26-2:3", against the verses a text has.
 * Semicolons part passages and may name a new book; commas add verses or ranges of the same chapter; "4a" and
 * "4b" are halves of a verse, "f" and "ff" the verse after and all to the chapter's end.
 * @param language of the text: its names of books are tried first
 * @returns passages in the order typed, or the first thing that is wrong with it
 */
export function parseReference(typed: string, counts: VerseCounts, language = "en"): ReferenceResult {
  const text = typed.normalize("NFC").replace(/\s+/g, " ").trim();
  if (text === "" || text.length > REFERENCE_MAX_LENGTH) return { problem: { kind: "notAReference", typed } };
  const passages: Passage[] = [];
  let book: Book | undefined;
  for (const part of text.split(";")) {
    const trimmed = part.trim();
    if (trimmed === "") continue;
    let numbers = trimmed;
    // "1. Mose" is a book, "1.4" a chapter and verse.
    if (!/^\d+\s*(?:[:,\-–—]|\.(?!\s*\p{L})|$)/u.test(trimmed)) {
      const match = BOOK_PART.exec(trimmed);
      if (!match) return { problem: { kind: "notAReference", typed: trimmed } };
      book = findBook(match[1] as string, language);
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
    if (chapters.length !== 1) return { problem: { kind: "notAReference", typed: bookName(book) } };
    return { passages: [wholeChapters(book, 1, 1, chapters)] };
  }
  const passages: Passage[] = [];
  /** The chapter that a number after a comma counts verses of; undefined while whole chapters are listed. */
  let chapter: number | undefined;
  for (const piece of numbers.split(",")) {
    const match = NUMBERS.exec(piece.trim());
    if (!match) return { problem: { kind: "notAReference", typed: piece.trim() || numbers } };
    const [first, second, third, fourth] = [match[1], match[2], match[4], match[5]].map((n) =>
      n === undefined ? undefined : Number(n),
    );
    if (first === undefined) throw new Error(`A number must lead "${piece}"`);
    const mark = match[3]?.toLowerCase();
    const fromPart = mark === "a" || mark === "b" ? mark : undefined;
    const endPart = match[6]?.toLowerCase() as VersePart | undefined;
    const following = mark === "f" || mark === "ff" ? mark : undefined;
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
    const ofChapter = second === undefined && !single && chapter === undefined;
    if (ofChapter && mark !== undefined) return { problem: { kind: "notAReference", typed: piece.trim() } };
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
      return { problem: { kind: "backwards", typed: piece.trim() } };
    passages.push({ from, to, ...partsOf(third === undefined, fromPart, endPart) });
    chapter = ofChapter ? undefined : to.chapter;
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

/** "Psalm 107:23–30", "Genesis 1:26–2:3", "John 3:16a", in a language whose names of books we know. */
export function formatPassage({ from, to, fromPart, toPart }: Passage, language = "en"): string {
  const isOne = from.chapter === to.chapter && from.verse === to.verse;
  const start = `${nameForReference(from.book, language)} ${from.chapter}:${from.verse}${fromPart ?? (isOne ? (toPart ?? "") : "")}`;
  if (isOne) return start;
  if (from.chapter !== to.chapter) return `${start}–${to.chapter}:${to.verse}${toPart ?? ""}`;
  return `${start}–${to.verse}${toPart ?? ""}`;
}

/** What is wrong with a reference, for the person who typed it. */
export function explainReferenceProblem(problem: ReferenceProblem): string {
  switch (problem.kind) {
    case "notAReference":
      return `“${shorten(problem.typed)}” is not a reference. Type book, chapter and verses, such as Ps 107:23-30.`;
    case "unknownBook":
      return `There is no book called “${shorten(problem.typed)}”. Check the spelling, or type a short form such as Ps or Jn.`;
    case "noSuchChapter": {
      const name = bookName(problem.book);
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
