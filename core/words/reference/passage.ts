/** Where a verse stands: OSIS book code, chapter and verse from 1. */
export interface VerseRef {
  readonly book: string;
  readonly chapter: number;
  readonly verse: number;
}

/** Half of a verse: up to its main break, or from there on. */
export type VersePart = "a" | "b";

/** A stretch of verses, both ends included; it may run over chapters, not over books. */
export interface Passage {
  readonly from: VerseRef;
  readonly to: VerseRef;
  /** "b": it begins in the middle of its first verse. */
  readonly fromPart?: VersePart;
  /** "a": it ends in the middle of its last verse. */
  readonly toPart?: VersePart;
}

/** How many verses each chapter of each book has, in one text: book → counts by chapter (index 0 is chapter 1). */
export type VerseCounts = ReadonlyMap<string, readonly number[]>;
