import type { StoredKind } from "../../stored/storedKind.ts";
import type { Change } from "../changes.ts";
import type { Branch } from "../tree.ts";

/** A kind of thing that is made in Design: what is written of one, and how it is taken apart so that several hands may change it. */
export interface DesignKind<T> {
  readonly stored: StoredKind<T>;
  /** The document as a tree in which things are found by their names, not by their places. */
  readonly toTree: (doc: T) => Branch;
  /** The document of such a tree, before its schema has looked at it. Nothing is lost where orders and things do not agree. */
  readonly fromTree: (tree: Branch) => unknown;
  /** What no schema sees and no painter could draw, as the middle of a sentence; undefined: nothing. */
  readonly faultOf?: (doc: T) => string | undefined;
  /** What was changed between two of them, in sentences. */
  readonly inWords: (changes: readonly Change[], before: T, after: T) => readonly string[];
}
