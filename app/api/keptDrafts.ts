import { z } from "zod";
import type { CueDoc } from "../../core/rundown/cueDoc.ts";
import { cueKind } from "../../core/stored/kinds/cue.ts";
import { songKind } from "../../core/stored/kinds/song.ts";
import { readForward, type StoredKind, withVersion } from "../../core/stored/storedKind.ts";
import type { SongFields } from "../../core/words/songFields.ts";

/** Documents whose words a browser keeps until they are saved. */
export interface DraftKinds {
  readonly cue: CueDoc;
  readonly song: SongFields;
}
const KINDS: { readonly [K in keyof DraftKinds]: StoredKind<DraftKinds[K]> } = {
  cue: cueKind,
  song: songKind,
};

/** Which document it is. */
export interface DraftKey<K extends keyof DraftKinds = keyof DraftKinds> {
  readonly kind: K;
  readonly id: string;
}

/** What was typed and could not be saved: kept by this browser until it is. */
export interface KeptDraft<T> {
  /** As it was typed, which may be what the server refuses. */
  readonly doc: T;
  /** The revision it was typed over. */
  readonly revision: number;
}

const PREFIX = "vesko-kept-draft/";
const nameOf = ({ kind, id }: DraftKey) => `${PREFIX}${kind}/${id}`;
const keptSchema = z.object({ doc: z.record(z.string(), z.unknown()), revision: z.number().int() });

/** Documents that are open in this window: their own savers send them. */
const open = new Set<string>();

/** @returns a function that says it is closed again */
export function openDraft(key: DraftKey): () => void {
  open.add(nameOf(key));
  return () => open.delete(nameOf(key));
}

export function keepDraft<K extends keyof DraftKinds>(
  key: DraftKey<K>,
  { doc, revision }: KeptDraft<DraftKinds[K]>,
): void {
  try {
    localStorage.setItem(nameOf(key), JSON.stringify({ doc: withVersion(KINDS[key.kind], doc), revision }));
  } catch {
    // The browser keeps nothing, or has no room: the words stay on the page.
  }
}

/** A kept draft, which a version before this one may have kept. */
export function findKeptDraft<K extends keyof DraftKinds>(
  key: DraftKey<K>,
): KeptDraft<DraftKinds[K]> | undefined {
  try {
    const kept = keptSchema.parse(JSON.parse(localStorage.getItem(nameOf(key)) ?? "null"));
    const read = readForward(KINDS[key.kind], kept.doc);
    if ("problem" in read) return undefined;
    // What was added since stands at what is usual; what the server refuses stays as it was typed.
    const whole = KINDS[key.kind].schema.safeParse(read.document);
    const doc = whole.success ? whole.data : (read.document as DraftKinds[K]);
    return { doc, revision: kept.revision };
  } catch {
    return undefined;
  }
}

export function dropKeptDraft(key: DraftKey): void {
  try {
    localStorage.removeItem(nameOf(key));
  } catch {
    // As above.
  }
}

/** Ids of documents of a kind of which something is kept, and which are not open. */
export function keptDraftIds(kind: keyof DraftKinds): string[] {
  try {
    return Object.keys(localStorage)
      .filter((name) => name.startsWith(`${PREFIX}${kind}/`) && !open.has(name))
      .map((name) => name.slice(`${PREFIX}${kind}/`.length));
  } catch {
    return [];
  }
}
