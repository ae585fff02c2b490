/** What to do with what was found. */
export type Wish = "go" | "add" | "take";

/** One row: what it is, and how it becomes a step that can be armed, added or taken. */
export interface Row {
  readonly value: string;
  readonly group: string;
  readonly name: string;
  readonly more: string;
  readonly words: string;
  /** What stands before and after the words, for knowing where they are. */
  readonly around?: readonly [before: string, after: string];
  /** What Enter does here, in a few words; Alt+Enter and Ctrl+Enter where they do anything. */
  readonly enter: string;
  readonly canAdd: boolean;
  readonly canTake: boolean;
  readonly act: (wish: Wish) => void | Promise<void>;
}
