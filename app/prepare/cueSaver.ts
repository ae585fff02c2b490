import type { CueDoc } from "../../core/rundown/cueDoc.ts";
import type { CueView, Edit, EditOutcome } from "../../core/rundown/edits.ts";

export type SaveStatus =
  | { readonly kind: "saved" }
  | { readonly kind: "typing" }
  | { readonly kind: "saving" }
  /** Not saved; sent again with the next key, or soon. */
  | { readonly kind: "failed"; readonly sentence: string }
  /** Somebody else changed the cue: these are their words. */
  | { readonly kind: "conflict"; readonly sentence: string; readonly theirs: CueView };

export const SAVE_AFTER_MS = 250;
const TRY_AGAIN_MS = 2_000;

export interface SaverParts {
  readonly send: (edit: Edit) => Promise<EditOutcome>;
  readonly onChange: () => void;
  /** Calls back after so many ms; gives back what takes it back. */
  readonly later: (ms: number, work: () => void) => () => void;
}

/**
 * Saves one cue as it is typed: one save at a time, each with the revision it was built on. A late answer never
 * overwrites a newer draft, and somebody else's change is never overwritten unasked.
 */
export class CueSaver {
  readonly cueId: string;
  readonly #parts: SaverParts;
  #revision: number;
  #saved: CueDoc;
  #draft: CueDoc;
  #isSending = false;
  #cancelLater: (() => void) | undefined;
  #status: SaveStatus = { kind: "saved" };

  constructor(view: CueView, parts: SaverParts) {
    this.cueId = view.cueId;
    this.#revision = view.revision;
    this.#saved = view.doc;
    this.#draft = view.doc;
    this.#parts = parts;
  }

  get draft(): CueDoc {
    return this.#draft;
  }

  get status(): SaveStatus {
    return this.#status;
  }

  get #isDirty(): boolean {
    return this.#draft !== this.#saved;
  }

  type(doc: CueDoc): void {
    this.#draft = doc;
    if (this.#status.kind !== "conflict") this.#set({ kind: "typing" });
    else this.#parts.onChange();
    this.#saveAfter(SAVE_AFTER_MS);
  }

  /** The cue as the server tells it: taken over unless something typed here is not saved yet. */
  hear(view: CueView): void {
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
    const outcome = await this.#parts.send({
      kind: "changeCue",
      cueId: this.cueId,
      doc: sending,
      baseRevision: this.#revision,
    });
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
          this.#set({ kind: "conflict", sentence: outcome.sentence, theirs: outcome.current });
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

  #set(status: SaveStatus): void {
    this.#status = status;
    this.#parts.onChange();
  }
}
