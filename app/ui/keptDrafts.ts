import { z } from "zod";

/** What was typed and could not be saved: kept by this browser until it is. */
export interface KeptDraft {
  readonly doc: unknown;
  /** The revision it was typed over. */
  readonly revision: number;
}

const PREFIX = "vesko-kept-draft/";
const keptSchema = z.object({ doc: z.unknown(), revision: z.number().int() });

/** Documents that are open in this window: their own savers send them. */
const open = new Set<string>();

/** @returns a function that says it is closed again */
export function openDraft(key: string): () => void {
  open.add(key);
  return () => open.delete(key);
}

export function keepDraft(key: string, draft: KeptDraft): void {
  try {
    localStorage.setItem(PREFIX + key, JSON.stringify(draft));
  } catch {
    // The browser keeps nothing, or has no room: the words stay on the page.
  }
}

export function findKeptDraft(key: string): KeptDraft | undefined {
  try {
    return keptSchema.safeParse(JSON.parse(localStorage.getItem(PREFIX + key) ?? "null")).data as
      | KeptDraft
      | undefined;
  } catch {
    return undefined;
  }
}

export function dropKeptDraft(key: string): void {
  try {
    localStorage.removeItem(PREFIX + key);
  } catch {
    // As above.
  }
}

/** Keys of what is kept for documents that are not open. */
export function keptDraftKeys(kind: string): string[] {
  try {
    return Object.keys(localStorage)
      .filter((key) => key.startsWith(`${PREFIX}${kind}/`))
      .map((key) => key.slice(PREFIX.length))
      .filter((key) => !open.has(key));
  } catch {
    return [];
  }
}
