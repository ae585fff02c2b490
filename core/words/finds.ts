/** A song as a list shows it. */
export interface SongLine {
  readonly id: string;
  readonly title: string;
  readonly version: string;
  readonly firstLine: string;
  readonly writers: string;
  readonly number: string;
  readonly changedAtMs: number;
}

/** What is found for typed words, beyond what a desk has itself. */
export interface Finds {
  readonly songs: readonly SongLine[];
  /** They are spelt like what was typed, and not so. */
  readonly songsAreGuesses: boolean;
  readonly passages: readonly {
    readonly reference: string;
    readonly text: string;
    readonly textName: string;
    readonly verses: number;
    readonly words: string;
  }[];
  readonly verses: readonly {
    readonly reference: string;
    readonly text: string;
    readonly textName: string;
    readonly words: string;
    readonly before: string;
    readonly after: string;
  }[];
  /** Why what looks like a reference is none. */
  readonly problem: string | null;
}
