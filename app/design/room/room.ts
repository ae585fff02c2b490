import { type Change, joinedChanges } from "../../../core/design/changes.ts";
import type { DesignEdit, DesignRef, DesignState } from "../../../core/design/designEdit.ts";
import { changed, changesOf, type DesignDoc, type DesignKindName } from "../../../core/design/designKinds.ts";
import { sharing } from "../../../core/design/sharing.ts";
import type { Answered } from "../../api/call.ts";

/** What the room needs of the server. */
export interface RoomServer {
  readonly send: (edit: DesignEdit) => Promise<Answered<RoomAnswer>>;
  readonly fetch: (of: DesignRef) => Promise<Answered<RoomAnswer>>;
  readonly say: (sentence: string) => void;
}

export interface RoomAnswer {
  readonly state: DesignState;
  readonly doc: DesignDoc<DesignKindName>;
  readonly label: string;
}

export interface RoomSnapshot<K extends DesignKindName> {
  /** As it is seen in this room: with what was done here and is still on its way. */
  readonly doc: DesignDoc<K>;
  readonly state: DesignState;
  /** Something is on its way to the server. */
  readonly isSaving: boolean;
  /** It could not be saved yet; it is tried again. */
  readonly isUnsaved: boolean;
}

type ChangeEdit = Extract<DesignEdit, { readonly kind: "change" }>;

const AGAIN_AFTER_MS = 2_000;

/** One thing of Design in the making: seen at once, saved step by step, and joined with what others do to it meanwhile. */
export class Room<K extends DesignKindName> {
  readonly #of: DesignRef & { readonly kind: K };
  readonly #server: RoomServer;
  readonly #listeners = new Set<() => void>();
  #snapshot: RoomSnapshot<K>;
  /** What is done here and not on its way yet. */
  #waiting: DesignEdit[] = [];
  #isBusy = false;
  /** The server has said what this person can take back. */
  #isTold = false;

  constructor(
    of: DesignRef & { readonly kind: K },
    start: { doc: DesignDoc<K>; state: DesignState },
    server: RoomServer,
  ) {
    this.#of = of;
    this.#server = server;
    this.#snapshot = { ...start, isSaving: false, isUnsaved: false };
  }

  readonly subscribe = (listener: () => void): (() => void) => {
    this.#listeners.add(listener);
    return () => this.#listeners.delete(listener);
  };
  readonly getSnapshot = (): RoomSnapshot<K> => this.#snapshot;

  /**
   * Does something to it. The label names it for whoever takes it back.
   * @param joins it goes on with what was done a moment ago under the same label
   */
  edit(label: string, change: (doc: DesignDoc<K>) => DesignDoc<K>, joins = false): void {
    const { doc } = this.#snapshot;
    const after = change(doc);
    if (after === doc) return;
    const changes = changesOf(this.#of.kind, doc, after);
    if (changes.length === 0) return;
    this.#set({ doc: after });
    this.#add({ kind: "change", of: this.#of, changes: changes as ChangeEdit["changes"], label, joins });
  }

  step(direction: "undo" | "redo"): void {
    // There is nothing to go back over, and nothing on its way that there could be.
    if (this.#isTold && !this.#isBusy && this.#snapshot.state[direction] === null) return;
    this.#waiting.push({ kind: direction, of: this.#of });
    void this.#work();
  }

  publish(note: string, by: string): void {
    this.#waiting.push({ kind: "publish", of: this.#of, note, by });
    void this.#work();
  }

  restore(number: number): void {
    this.#waiting.push({ kind: "restore", of: this.#of, number });
    void this.#work();
  }

  /** Somebody changed it: this room has all until a revision. */
  async heard(revision: number): Promise<void> {
    if (revision > this.#snapshot.state.revision && !this.#isBusy) await this.refresh();
  }

  /** What the server has now, and what this person can take back. */
  async refresh(): Promise<void> {
    const answer = await this.#server.fetch(this.#of);
    if ("value" in answer && !this.#isBusy) this.#take(answer.value);
  }

  #add(edit: ChangeEdit): void {
    const last = this.#waiting.at(-1);
    const joined =
      edit.joins && last?.kind === "change" && last.label === edit.label
        ? joinedChanges(last.changes as Change[], edit.changes as Change[])
        : undefined;
    if (joined && last?.kind === "change")
      this.#waiting[this.#waiting.length - 1] = { ...last, changes: joined as ChangeEdit["changes"] };
    else this.#waiting.push(edit);
    void this.#work();
  }

  async #work(): Promise<void> {
    if (this.#isBusy) return;
    this.#isBusy = true;
    this.#set({ isSaving: true });
    for (let next = this.#waiting.shift(); next; next = this.#waiting.shift()) {
      const answer = await this.#server.send(next);
      if ("problem" in answer && isAway(answer.problem.code)) {
        // Nothing is lost: it is sent again, in its order.
        this.#waiting.unshift(next);
        this.#set({ isUnsaved: true });
        await new Promise((resolve) => setTimeout(resolve, AGAIN_AFTER_MS));
        continue;
      }
      if ("problem" in answer) {
        this.#server.say(answer.problem.sentence);
        this.#waiting = [];
        const fresh = await this.#server.fetch(this.#of);
        if ("value" in fresh) this.#take(fresh.value);
      } else this.#take(answer.value);
      this.#set({ isUnsaved: false });
    }
    this.#isBusy = false;
    this.#set({ isSaving: false });
  }

  /** The thing as the server has it, with what is still to be sent on top. */
  #take({ state, doc }: RoomAnswer): void {
    this.#isTold = true;
    let now = doc as DesignDoc<K>;
    for (const edit of this.#waiting) {
      if (edit.kind !== "change") break;
      const result = changed(this.#of.kind, now, edit.changes as Change[]);
      if ("doc" in result) now = result.doc;
    }
    this.#set({ state, doc: sharing(this.#snapshot.doc, now) });
  }

  #set(part: Partial<RoomSnapshot<K>>): void {
    this.#snapshot = { ...this.#snapshot, ...part };
    for (const listener of this.#listeners) listener();
  }
}

const isAway = (code: string): boolean => code === "unreachable" || code === "diskFull";
