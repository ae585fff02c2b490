/** What came of an edit. */
export type TableEditOutcome =
  /** @property version of the table with it in it */
  | { readonly kind: "done"; readonly version: number }
  | { readonly kind: "refused"; readonly sentence: string }
  /** Somebody else has changed what it would take the place of. @property now what stands there */
  | { readonly kind: "clash"; readonly sentence: string; readonly now: string };

/** What somebody did to a table that is edited here. */
export interface TableChange {
  /** The doer's own: what is sent twice is done once. */
  readonly id: string;
  /** Server time, ms. */
  readonly atMs: number;
  /** Who, as people call them: "desk", or the name of an entry link. */
  readonly by: string;
  /** "Ropewalk, number: 12 → 14". */
  readonly what: string;
}
