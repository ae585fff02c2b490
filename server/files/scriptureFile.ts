/** A file that cannot be taken in, told in a sentence for the person who brought it. */
export class FileProblem extends Error {}

export interface ParsedVerse {
  /** OSIS book code. */
  readonly book: string;
  readonly chapter: number;
  readonly verse: number;
  /** Lines of poetry are parted by line feeds. */
  readonly words: string;
}

/** A scripture text as its file has it. */
export interface ParsedText {
  readonly title: string;
  /** BCP 47 tag; "und" when the file does not say. */
  readonly language: string;
  readonly rights: string;
  readonly verses: readonly ParsedVerse[];
}
