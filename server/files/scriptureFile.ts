/** A file that cannot be taken in, told in a sentence for the person who brought it. */
export class FileProblem extends Error {}

export interface ParsedVerse {
  /** OSIS book code. */
  readonly book: string;
  readonly chapter: number;
  readonly verse: number;
  /** Lines of poetry are parted by line feeds; empty: it is printed together with the verse before it. */
  readonly words: string;
  /** "a" of a verse that the file has in parts. */
  readonly part?: string;
}

/** A scripture text as its file has it. */
export interface ParsedText {
  readonly title: string;
  /** BCP 47 tag; "und" when the file does not say. */
  readonly language: string;
  readonly rights: string;
  readonly verses: readonly ParsedVerse[];
  /** What of the file was left out beside notes and headings, by reference. */
  readonly leftOut: readonly string[];
}

const LONGEST_BRIDGE = 40;

/** The numbers that lead to the words of the first of them, where several verses are printed together. */
export const bridged = (first: ParsedVerse, until: number): ParsedVerse[] =>
  Array.from({ length: Math.max(0, Math.min(LONGEST_BRIDGE, until - first.verse)) }, (_, i) => ({
    book: first.book,
    chapter: first.chapter,
    verse: first.verse + 1 + i,
    words: "",
  }));

/**
 * Parts of one verse ("3a", "3b") as one, in the order of the file; a verse that comes twice in the same words is once,
 * in other words elsewhere in the file the first stands.
 */
export function joinParts(verses: readonly ParsedVerse[]): {
  readonly verses: ParsedVerse[];
  readonly twice: string[];
} {
  const joined: ParsedVerse[] = [];
  const known = new Map<string, number>();
  const twice: string[] = [];
  for (const verse of verses) {
    const key = `${verse.book} ${verse.chapter}:${verse.verse}`;
    const at = known.get(key);
    const before = at === undefined ? undefined : (joined[at] as ParsedVerse);
    if (before === undefined) {
      known.set(key, joined.length);
      const { part: _, ...whole } = verse;
      joined.push(whole);
    } else if (at === joined.length - 1 && verse.part !== undefined)
      joined[at] = {
        ...before,
        words: `${before.words}${verse.words.startsWith("\n") ? "" : " "}${verse.words}`,
      };
    else if (before.words !== verse.words) twice.push(key);
  }
  return { verses: joined, twice };
}
