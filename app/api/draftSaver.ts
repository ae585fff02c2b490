import type { ConflictBy } from "../../core/rundown/edits.ts";

/** A document as the server has it. */
export interface SavedDraft<T> {
  readonly revision: number;
  readonly doc: T;
}

export type SaveOutcome<T> =
  | { readonly kind: "saved"; readonly revision: number }
  | {
      readonly kind: "conflict";
      readonly by: ConflictBy;
      readonly sentence: string;
      readonly current: SavedDraft<T> | null;
    }
  | { readonly kind: "refused"; readonly sentence: string };

export type SaveStatus<T> =
  | { readonly kind: "saved" }
  | { readonly kind: "typing" }
  | { readonly kind: "saving" }
  /** Not saved; sent again with the next key, or soon. */
  | { readonly kind: "failed"; readonly sentence: string }
  /** It was changed meanwhile, mostly by somebody else: these are the words there. */
  | {
      readonly kind: "conflict";
      readonly by: ConflictBy;
      readonly sentence: string;
      readonly theirs: SavedDraft<T>;
    };

export const SAVE_AFTER_MS = 250;
const TRY_AGAIN_MS = 2_000;

export interface SaverParts<T> {
  readonly send: (doc: T, baseRevision: number) => Promise<SaveOutcome<T>>;
  readonly onChange: () => void;
  /** Calls back after so many ms; gives back what takes it back. */
  readonly later: (ms: number, work: () => void) => () => void;
}

/**
 * Saves one document as it is typed: one save at a time, each with the revision it was built on. A late answer never
 * overwrites a newer draft, and somebody else's change is never overwritten unasked.
 */
export class DraftSaver<T> {
  readonly #parts: SaverParts<T>;
  #revision: number;
  #saved: T;
  #draft: T;
  #isSending = false;
  #cancelLater: (() => void) | undefined;
  #status: SaveStatus<T> = { kind: "saved" };

  constructor(saved: SavedDraft<T>, parts: SaverParts<T>) {
    this.#revision = saved.revision;
    this.#saved = saved.doc;
    this.#draft = saved.doc;
    this.#parts = parts;
  }

  get draft(): T {
    return this.#draft;
  }

  get status(): SaveStatus<T> {
    return this.#status;
  }

  get #isDirty(): boolean {
    return this.#draft !== this.#saved;
  }

  type(doc: T): void {
    this.#draft = doc;
    if (this.#status.kind !== "conflict") this.#set({ kind: "typing" });
    else this.#parts.onChange();
    this.#saveAfter(SAVE_AFTER_MS);
  }

  /** Goes on with words that could not be saved before; the server says whether somebody changed them since. */
  resume(doc: T, revision: number): void {
    if (this.#isDirty || this.#isSending) return;
    this.#revision = revision;
    this.#draft = doc;
    this.#set({ kind: "typing" });
    this.#saveAfter(SAVE_AFTER_MS);
  }

  /** As the server tells it: taken over unless something typed here is not saved yet. */
  hear(view: SavedDraft<T>): void {
    if (view.revision <= this.#revision || this.#isSending || this.#isDirty) return;
    this.#revision = view.revision;
    this.#saved = view.doc;
    this.#draft = view.doc;
    this.#set({ kind: "saved" });
  }

  /** Ends a conflict by one side or the other. */
  settle(keep: "mine" | "theirs"): void {
    if (this.#status.kind !== "conflict") return;
    const { theirs } = this.#status;
    this.#revision = theirs.revision;
    this.#saved = theirs.doc;
    if (keep === "theirs") {
      this.#draft = theirs.doc;
      this.#set({ kind: "saved" });
      return;
    }
    this.#set({ kind: "typing" });
    void this.flush();
  }

  /** Saves now what is not saved. */
  async flush(): Promise<void> {
    this.#cancelLater?.();
    if (this.#isSending || !this.#isDirty || this.#status.kind === "conflict") return;
    const sending = this.#draft;
    this.#isSending = true;
    this.#set({ kind: "saving" });
    const outcome = await this.#parts.send(sending, this.#revision);
    this.#isSending = false;
    switch (outcome.kind) {
      case "saved":
        this.#revision = outcome.revision;
        this.#saved = sending;
        if (!this.#isDirty) this.#set({ kind: "saved" });
        else {
          this.#set({ kind: "typing" });
          await this.flush();
        }
        return;
      case "conflict":
        if (outcome.current)
          this.#set({
            kind: "conflict",
            by: outcome.by,
            sentence: outcome.sentence,
            theirs: outcome.current,
          });
        else this.#set({ kind: "failed", sentence: outcome.sentence });
        return;
      case "refused":
        this.#set({ kind: "failed", sentence: outcome.sentence });
        this.#saveAfter(TRY_AGAIN_MS);
    }
  }

  #saveAfter(ms: number): void {
    this.#cancelLater?.();
    this.#cancelLater = this.#parts.later(ms, () => void this.flush());
  }

  #set(status: SaveStatus<T>): void {
    this.#status = status;
    this.#parts.onChange();
  }
}
