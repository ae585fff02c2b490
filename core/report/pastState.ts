import type { PinnedDocument } from "../rundown/pinnedDocument.ts";
import type { ShowState } from "../show/state.ts";

/** The air as it was at a time, and the documents to draw it with, by their hashes. */
export interface PastState {
  readonly state: ShowState;
  readonly documents: Readonly<Record<string, PinnedDocument>>;
}
