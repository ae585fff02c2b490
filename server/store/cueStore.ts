import type { CueDoc } from "../../core/rundown/cueDoc.ts";
import { cueKind } from "../../core/stored/kinds/cue.ts";
import { writeStored } from "../../core/stored/storedKind.ts";
import type { Db } from "./database.ts";
import { type Change, type ChangedRow, type CueRow, EditLog } from "./editLog.ts";
import { freeRank, type Rank, ranksBetween } from "./ranks.ts";
import { SetAside } from "./setAside.ts";

export interface StoredCue {
  readonly id: string;
  readonly rank: Rank;
  readonly revision: number;
  readonly doc: CueDoc;
}

const NONE: ReadonlySet<string> = new Set();
/** Deleted cues that the bin shows. */
const MOST_IN_BIN = 100;

/** The rundown's rows; each change of them goes into the log of edits in the same transaction. */
export class CueStore {
  readonly #db: Db;
  readonly #showId: string;
  #eveningId = "";
  #log: EditLog;
  readonly #cues = new Map<string, StoredCue>();
  /** Never reused, so that a deleted and restored cue is not taken for its old self. */
  #lastRevision = 0;
  readonly #setAside: SetAside;

  constructor(db: Db, showId: string, setAside = new SetAside()) {
    this.#db = db;
    this.#showId = showId;
    this.#setAside = setAside;
    this.#log = new EditLog(db, showId, "");
  }

  /** Reads the cues of an evening: they are the rundown from now on. */
  async open(eveningId: string): Promise<void> {
    const rows = await this.#db.selectFrom("cue").selectAll().where("evening_id", "=", eveningId).execute();
    this.#eveningId = eveningId;
    this.#log = new EditLog(this.#db, this.#showId, eveningId);
    this.#cues.clear();
    for (const row of rows) {
      const doc = this.#setAside.read(cueKind, row.id, row.doc);
      if (doc) this.#cues.set(row.id, { id: row.id, rank: row.rank, revision: row.revision, doc });
      this.#lastRevision = Math.max(this.#lastRevision, row.revision);
    }
    this.#lastRevision = Math.max(this.#lastRevision, await this.#log.lastRevision());
  }

  inOrder(): StoredCue[] {
    return [...this.#cues.values()].sort((a, b) =>
      a.rank < b.rank ? -1 : a.rank > b.rank ? 1 : a.id < b.id ? -1 : 1,
    );
  }

  find(cueId: string): StoredCue | undefined {
    return this.#cues.get(cueId);
  }

  /** Applies changed rows in one transaction with their entry in the log. */
  async change(
    actor: string,
    label: string,
    rows: readonly { readonly cueId: string; readonly after: CueRow | null }[],
    atMs: number,
    coalesce = false,
  ): Promise<void> {
    const change: Change = rows.map(({ cueId, after }) => {
      const cue = this.#cues.get(cueId);
      return { cueId, before: cue ? { rank: cue.rank, doc: cue.doc } : null, after, revision: 0 };
    });
    await this.#apply(change, "after", (db, applied) =>
      this.#log.add(db, { actor, label, atMs, change: applied }, coalesce),
    );
  }

  /**
   * Takes back, or does again, the last edit of an actor.
   * @returns its label; undefined when there is none; "changedSince" when somebody else's edit lies on top;
   * "unreadable" when this version cannot read what was there
   */
  async stepBack(
    actor: string,
    direction: "undo" | "redo",
  ): Promise<{ label: string; cueId: string | null } | "nothing" | "changedSince" | "unreadable"> {
    const edit = await this.#log.last(actor, direction);
    if (!edit) return "nothing";
    const { change } = edit;
    if (!change) return "unreadable";
    const untouched = change.every(({ cueId, revision, after, before }) => {
      const current = this.#cues.get(cueId);
      const expected = direction === "undo" ? after : before;
      return expected === null ? !current : current?.revision === revision;
    });
    if (!untouched) return "changedSince";
    await this.#apply(change, direction === "undo" ? "before" : "after", (db, applied) =>
      this.#log.stepOver(db, actor, edit.id, direction, applied),
    );
    return { label: edit.label, cueId: change[0]?.cueId ?? null };
  }

  /**
   * So many ranks in a row after a cue.
   * @param afterId null: at the start; one that is not there: at the end
   * @param moving cues that leave their places for these
   */
  ranksAfter(afterId: string | null, count: number, moving: ReadonlySet<string> = NONE): Rank[] {
    const others = this.inOrder().filter(({ id }) => !moving.has(id));
    const found = others.findIndex(({ id }) => id === afterId);
    const at = afterId !== null && found < 0 ? others.length - 1 : found;
    return ranksBetween(others[at]?.rank ?? null, others[at + 1]?.rank ?? null, count);
  }

  async #apply(
    change: Change,
    side: "before" | "after",
    log: (db: Db, applied: Change) => Promise<void>,
  ): Promise<void> {
    const applied: ChangedRow[] = [];
    const next = new Map<string, StoredCue | null>();
    let revision = this.#lastRevision;
    const changing = new Set(change.map(({ cueId }) => cueId));
    const taken = [...this.#cues.values()].flatMap(({ id, rank }) => (changing.has(id) ? [] : [rank]));
    for (const row of change) {
      const wanted = row[side];
      if (wanted) {
        revision++;
        // Where it stood, another may stand by now: it comes back beside that one.
        const rank = freeRank(wanted.rank, taken);
        taken.push(rank);
        next.set(row.cueId, { id: row.cueId, rank, revision, doc: wanted.doc });
        applied.push({ ...row, [side]: { ...wanted, rank }, revision });
      } else {
        next.set(row.cueId, null);
        applied.push({ ...row, revision: 0 });
      }
    }
    await this.#db.transaction().execute(async (transaction) => {
      for (const [id, cue] of next) {
        if (!cue) await transaction.deleteFrom("cue").where("id", "=", id).execute();
        else {
          const row = { rank: cue.rank, revision: cue.revision, doc: writeStored(cueKind, cue.doc) };
          await transaction
            .insertInto("cue")
            .values({ id, show_id: this.#showId, evening_id: this.#eveningId, ...row })
            .onConflict((oc) => oc.column("id").doUpdateSet(row))
            .execute();
        }
      }
      await log(transaction, applied);
    });
    this.#lastRevision = revision;
    for (const [id, cue] of next) {
      if (cue) this.#cues.set(id, cue);
      else this.#cues.delete(id);
    }
  }

  /** Whose edit, or undo, made a cue what it is now; undefined when it is too long ago to be known. */
  whoChanged(cueId: string): ReturnType<EditLog["whoChanged"]> {
    return this.#log.whoChanged(cueId, this.#cues.get(cueId)?.revision);
  }

  /** Cues that were deleted within the edits that are kept, the latest first. */
  async deleted(): ReturnType<EditLog["deletions"]> {
    const found = new Map<string, Awaited<ReturnType<EditLog["deletions"]>>[number]>();
    for (const deletion of await this.#log.deletions())
      if (!this.#cues.has(deletion.cueId) && !found.has(deletion.cueId) && found.size < MOST_IN_BIN)
        found.set(deletion.cueId, deletion);
    return [...found.values()];
  }
}
