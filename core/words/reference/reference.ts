import { t } from "../../language/t.ts";
import { type Book, bookName, findBook, nameForReference, nearestBook, severalBooks } from "./books.ts";
import { readNumbers } from "./numbers.ts";
import type { Passage, VerseCounts } from "./passage.ts";
import { bareBookName, plainReference } from "./plain.ts";
import type { ReferenceProblem } from "./problem.ts";

export const REFERENCE_MAX_LENGTH = 200;
export const REFERENCE_MAX_VERSES = 300;

/** What a typed reference means. */
export interface ReadReference {
  readonly passages: readonly Passage[];
  /** Other things that it could as well mean, likeliest first: "Jn 3,16" may be two chapters. */
  readonly others: readonly (readonly Passage[])[];
  /** A book that was spelt otherwise, and was taken for the nearest. */
  readonly spelt: { readonly typed: string; readonly book: string } | null;
  /** The text that was named behind it; empty when none was. */
  readonly textName: string;
}

export type ReferenceResult = ReadReference | { readonly problem: ReferenceProblem };

const BOOK_PART =
  /^((?:[1-5]|i{1,3}|1st|2nd|3rd|[1-3][ªº])?\s*\.?\s*\p{L}[\p{L}\p{M}.'’ -]*?)\s*\.?,?\s*([\d:].*)?$/iu;
/** "1. Mose" is a book, "1.4" a chapter and verse. */
const NUMBERS_ONLY = /^\d+\s*(?:[:,\-+]|\.(?!\s*\p{L})|[abf]+\b|$| \d)/u;

/**
 * Reads a typed reference, such as "Ps 107:23-30; jn 1:1-5, 14", "1 Kor 13,4-7.13" or "John chapter 3 verses 16 to 18",
 * against the verses a text has.
 * Semicolons part passages and may name a new book; commas add verses or ranges of the same chapter, or part chapter
 * from verse where the language writes so; "4a" and "4b" are halves of a verse, "f" and "ff" the verse after and all to
 * the chapter's end.
 * @param language of the text: its names of books are tried first, and it says what a comma means
 * @returns passages in the order typed, with what else they could be; or the first thing that is wrong with it
 */
export function parseReference(typed: string, counts: VerseCounts, language = "en"): ReferenceResult {
  const { text, textName } = plainReference(typed);
  if (text === "" || typed.length > REFERENCE_MAX_LENGTH)
    return { problem: { kind: "notAReference", typed } };
  const found = readParts(text, typed, counts, language);
  // "13;4-7": a slip of the finger for "13:4-7", where a chapter stands alone before it.
  const slipped = /^([^:,;]*\d);(\d[\d\s,ab-]*)$/.exec(text);
  const meant = slipped && readParts(`${slipped[1]}:${slipped[2]}`, typed, counts, language);
  if (meant && "passages" in meant) {
    const others = "passages" in found ? [found.passages, ...found.others] : [];
    return { ...meant, others: [...meant.others, ...others], textName };
  }
  return "problem" in found ? found : { ...found, textName };
}

type Parts = Omit<ReadReference, "textName"> | { readonly problem: ReferenceProblem };

function readParts(text: string, typed: string, counts: VerseCounts, language: string): Parts {
  /** For each part, what it may mean. */
  const parts: (readonly (readonly Passage[])[])[] = [];
  let book: Book | undefined;
  let spelt: ReadReference["spelt"] = null;
  for (const part of text.split(";")) {
    const trimmed = part.trim();
    if (trimmed === "") continue;
    let numbers = trimmed;
    if (!NUMBERS_ONLY.test(trimmed)) {
      const match = BOOK_PART.exec(trimmed);
      if (!match) return { problem: { kind: "notAReference", typed: trimmed } };
      const name = (match[1] as string).trim();
      numbers = match[2] ?? "";
      book = findBook(name, language) ?? findBook(bareBookName(name), language);
      if (!book && numbers !== "") {
        // "Corinthians 13": which of the two is asked.
        const several = severalBooks(bareBookName(name), language);
        const readings = several.flatMap((each) => {
          const read = readNumbers(each.code, numbers, counts.get(each.code) ?? [], language);
          return "readings" in read ? read.readings : [];
        });
        if (readings.length > 0) {
          book = several[0];
          parts.push(readings);
          continue;
        }
        book = nearestBook(bareBookName(name), language);
        if (book) spelt = { typed: name, book: book.code };
      }
      if (!book) return { problem: { kind: "unknownBook", typed: name } };
    }
    if (!book) return { problem: { kind: "notAReference", typed: trimmed } };
    const chapters = counts.get(book.code) ?? [];
    if (numbers === "") {
      if (chapters.length !== 1) return { problem: { kind: "notAReference", typed: bookName(book.code) } };
      parts.push([
        [
          {
            from: { book: book.code, chapter: 1, verse: 1 },
            to: { book: book.code, chapter: 1, verse: chapters[0] ?? 1 },
          },
        ],
      ]);
      continue;
    }
    const read = readNumbers(book.code, numbers, chapters, language);
    if ("problem" in read) return read;
    parts.push(read.readings);
  }
  if (parts.length === 0) return { problem: { kind: "notAReference", typed } };
  const whole = [parts.flatMap((readings) => readings[0] ?? []), ...alternatives(parts)];
  const sizes = whole.map((passages) =>
    passages.reduce((sum, passage) => sum + countVerses(passage, counts), 0),
  );
  const short = whole.filter((_, i) => (sizes[i] as number) <= REFERENCE_MAX_VERSES);
  const [passages, ...others] = short;
  if (!passages) return { problem: { kind: "tooLong", verses: sizes[0] as number } };
  return { passages, others, spelt };
}

/** With one part in another meaning. */
function alternatives(parts: readonly (readonly (readonly Passage[])[])[]): Passage[][] {
  return parts.flatMap((readings, at) =>
    readings.slice(1).map((other) => parts.flatMap((each, i) => (i === at ? other : (each[0] ?? [])))),
  );
}

function countVerses({ from, to }: Passage, counts: VerseCounts): number {
  if (from.chapter === to.chapter) return to.verse - from.verse + 1;
  const chapters = counts.get(from.book) ?? [];
  let sum = (chapters[from.chapter - 1] ?? 0) - from.verse + 1 + to.verse;
  for (let chapter = from.chapter + 1; chapter < to.chapter; chapter++) sum += chapters[chapter - 1] ?? 0;
  return sum;
}

/** Whether text begins as references do, with a name and a number: "Ps 23", "1 Jn 1:9", "The 23rd psalm". */
export const looksLikeReference = (typed: string): boolean =>
  /^[([“"«]?\s*(?:the\s+)?(?:\d{1,3}(?:st|nd|rd|th)\s+psalm|(?:[1-5]\s*\.?\s*)?\p{L}[\p{L}\p{M}.'’ -]*[,(]?\s*[:.]?\d)/iu.test(
    typed.trim(),
  );

/** Whether it says chapter and verse, so that it can be nothing else. */
export const saysVerses = (typed: string): boolean => /\d\s*:\s*\d/.test(plainReference(typed).text);

/** "Psalm 107:23–30; John 1:1–5", so that it means just these passages when it is read again. */
export const formatPassages = (passages: readonly Passage[], language = "en"): string =>
  passages.map((passage) => formatPassage(passage, language)).join("; ");

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
      return t`“${shorten(problem.typed)}” is not a reference. Type book, chapter and verses, such as Ps 107:23-30.`;
    case "unknownBook":
      return t`There is no book called “${shorten(problem.typed)}”. Check the spelling, or type a short form such as Ps or Jn.`;
    case "noSuchChapter": {
      const name = bookName(problem.book);
      const has =
        problem.chapters === 1
          ? t`1 chapter`
          : problem.book === "Ps"
            ? t`${problem.chapters} psalms`
            : t`${problem.chapters} chapters`;
      return problem.book === "Ps"
        ? t`There is no Psalm ${problem.chapter}; ${name} has ${has}.`
        : t`${name} has no chapter ${problem.chapter}; it has ${has}.`;
    }
    case "noSuchVerse":
      return t`${nameForReference(problem.book)} ${problem.chapter} has no verse ${problem.verse}; it has ${problem.verses === 1 ? t`1 verse` : t`${problem.verses} verses`}.`;
    case "backwards":
      return t`“${shorten(problem.typed)}” runs backwards. Put the earlier verse first.`;
    case "tooLong":
      return t`That is ${problem.verses} verses; one reading may have ${REFERENCE_MAX_VERSES}. Part it into several readings.`;
  }
}

const shorten = (typed: string) => (typed.length > 40 ? `${typed.slice(0, 39)}…` : typed);
