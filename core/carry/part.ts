import type { z } from "zod";
import type { PinnedDocument } from "../rundown/pinnedDocument.ts";

/** Things that other things name, and that may come under another id than they had. */
export const RENAMED = ["cue", "song", "media", "font", "feed", "template"] as const;
export type Renamed = (typeof RENAMED)[number];
/** What a thing that was called so is called now. */
export type Rename = (kind: Renamed, id: string) => string;

/** What is pinned under a hash, in one of two shows. */
export type FindDocument = (hash: string) => PinnedDocument | undefined;

/** Makes a thing another one: under an id of its own, with a name that says so. */
export interface Another {
  readonly id: string;
  readonly find: FindDocument;
  /** Pins a document that neither show has. @returns its hash */
  readonly pin: (document: PinnedDocument) => string;
}

/** One kind of what a show consists of: how it stands in a show file, and how two of it are told apart. */
export interface Part<T extends { readonly id: string }> {
  /** As people call one, and several. */
  readonly one: string;
  readonly many: string;
  /** Of one of them in the file. */
  readonly schema: z.ZodType<T>;
  readonly nameOf: (thing: T, find: FindDocument) => string;
  /** In a few words, what it holds. */
  readonly aboutOf: (thing: T, find: FindDocument) => string;
  /** What is equal in two that say the same; all of it where nothing is said. */
  readonly essenceOf?: (thing: T) => unknown;
  /** Whether two of different ids are one and the same, so that only one of them is kept. */
  readonly twinOf?: (thing: T, find: FindDocument) => string;
  /** How the one that comes differs, in sentences. */
  readonly differences?: (here: T, there: T, find: FindDocument) => readonly string[];
  /** Undefined: there is only one of that id, so that both cannot be kept. */
  readonly another?: (thing: T, how: Another) => T;
  /** The same with what it names called as it is called now. */
  readonly renamed?: (thing: T, rename: Rename) => T;
}
