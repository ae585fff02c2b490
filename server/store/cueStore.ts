import { z } from "zod";
import { type CueDoc, cueDocSchema } from "../../core/rundown/cueDoc.ts";
import type { Db } from "./database.ts";

/** A cue row: null stands for a row that is not there. */
const cueRowSchema = z.strictObject({ rank: z.number(), doc: cueDocSchema });
type CueRow = z.infer<typeof cueRowSchema>;

/** What one edit did, row by row, so that it can be undone and done again. */
const changeSchema = z.array(
  z.strictObject({
    cueId: z.string(),
    before: cueRowSchema.nullable(),
    after: cueRowSchema.nullable(),
    /** Revision of the cue after the edit; 0 when it was deleted. */
    revision: z.number().int(),
  }),
);
type Change = z.infer<typeof changeSchema>;

export interface StoredCue {
  readonly id: string;
  readonly rank: number;
  readonly revision: number;
  readonly doc: CueDoc;
}

/** Typing that goes on within this time is one edit to undo. */
const COALESCE_MS = 4_000;
/** Edits kept for undo, per evening. */
const KEPT_EDITS = 2_000;
const NONE: ReadonlySet<string> = new Set();
/** Deleted cues that the bin shows. */
const MOST_IN_BIN = 100;

/** The rundown's rows and the log of what was done to them. */
export class CueStore {
  readonly #db: Db;
  readonly #showId: string;
  #eveningId = "";
  readonly #cues = new Map<string, StoredCue>();
  /** Never reused, so that a deleted and restored cue is not taken for its old self. */
  #lastRevision = 0;

  constructor(db: Db, showId: string) {
    this.#db = db;
    this.#showId = showId;
  }

  /** Reads the cues of an evening: they are the rundown from now on. */
  async open(eveningId: string): Promise<void> {
    const rows = await this.#db.selectFrom("cue").selectAll().where("evening_id", "=", eveningId).execute();
    this.#eveningId = eveningId;
    this.#cues.clear();
    for (const row of rows) {
      this.#cues.set(row.id, {
        id: row.id,
        rank: row.rank,
        revision: row.revision,
        doc: cueDocSchema.parse(JSON.parse(row.doc)),
      });
      this.#lastRevision = Math.max(this.#lastRevision, row.revision);
    }
  }

  inOrder(): StoredCue[] {
    return [...this.#cues.values()].sort((a, b) => a.rank - b.rank || (a.id < b.id ? -1 : 1));
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
    await this.#apply(change, "after", async (db, applied) => {
      const open = coalesce ? await this.#lastEdit(db, actor, false) : undefined;
      const opened = open && changeSchema.parse(JSON.parse(open.change));
      const continues =
        open &&
        opened &&
        open.label === label &&
        atMs - open.at_ms < COALESCE_MS &&
        opened.length === 1 &&
        opened[0]?.cueId === applied[0]?.cueId;
      await db
        .deleteFrom("edit_log")
        .where("evening_id", "=", this.#eveningId)
        .where("actor", "=", actor)
        .where("undone", "=", 1)
        .execute();
      if (continues && opened[0]) {
        const joined = [{ ...(applied[0] as Change[number]), before: opened[0].before }];
        await db
          .updateTable("edit_log")
          .set({ at_ms: atMs, change: JSON.stringify(joined) })
          .where("id", "=", open.id)
          .execute();
        return;
      }
      await db
        .insertInto("edit_log")
        .values({
          show_id: this.#showId,
          evening_id: this.#eveningId,
          at_ms: atMs,
          actor,
          label,
          change: JSON.stringify(applied),
          undone: 0,
        })
        .execute();
      await this.#dropOldEdits(db);
    });
  }

  /**
   * Takes back, or does again, the last edit of an actor.
   * @returns its label; undefined when there is none; "changedSince" when somebody else's edit lies on top
   */
  async stepBack(
    actor: string,
    direction: "undo" | "redo",
  ): Promise<{ label: string; cueId: string | null } | "nothing" | "changedSince"> {
    const entry = await this.#lastEdit(this.#db, actor, direction === "redo");
    if (!entry) return "nothing";
    const change = changeSchema.parse(JSON.parse(entry.change));
    const untouched = change.every(({ cueId, revision, after, before }) => {
      const current = this.#cues.get(cueId);
      const expected = direction === "undo" ? after : before;
      return expected === null ? !current : current?.revision === revision;
    });
    if (!untouched) return "changedSince";
    await this.#apply(change, direction === "undo" ? "before" : "after", async (db, applied) => {
      await db
        .updateTable("edit_log")
        .set({ undone: direction === "undo" ? 1 : 0, change: JSON.stringify(applied) })
        .where("id", "=", entry.id)
        .execute();
      await this.#renumberOthers(db, actor, entry.id, applied);
    });
    return { label: entry.label, cueId: change[0]?.cueId ?? null };
  }

  /** A rank between two neighbours. */
  rankAfter(afterId: string | null, moving: ReadonlySet<string> = NONE): number {
    const others = this.inOrder().filter(({ id }) => !moving.has(id));
    const at = afterId === null ? -1 : others.findIndex(({ id }) => id === afterId);
    if (afterId !== null && at < 0) return (others.at(-1)?.rank ?? 0) + 1024;
    const before = others[at]?.rank;
    const after = others[at + 1]?.rank;
    if (before === undefined) return after === undefined ? 1024 : after - 1024;
    return after === undefined ? before + 1024 : (before + after) / 2;
  }

  /** As many ranks in a row, between two neighbours. */
  ranksAfter(afterId: string | null, count: number, moving: ReadonlySet<string> = NONE): number[] {
    const first = this.rankAfter(afterId, moving);
    const following = this.inOrder().find(({ id, rank }) => !moving.has(id) && rank > first);
    const room = following ? following.rank - first : 1_024 * count;
    return Array.from({ length: count }, (_, i) => first + (room * i) / Math.max(1, count));
  }

  async #apply(
    change: Change,
    side: "before" | "after",
    log: (db: Db, applied: Change) => Promise<void>,
  ): Promise<void> {
    const applied: Change = [];
    const next = new Map<string, StoredCue | null>();
    let revision = this.#lastRevision;
    for (const row of change) {
      const wanted = row[side];
      if (wanted) {
        revision++;
        next.set(row.cueId, { id: row.cueId, rank: wanted.rank, revision, doc: wanted.doc });
        applied.push({ ...row, revision });
      } else {
        next.set(row.cueId, null);
        applied.push({ ...row, revision: 0 });
      }
    }
    await this.#db.transaction().execute(async (transaction) => {
      for (const [id, cue] of next) {
        if (!cue) await transaction.deleteFrom("cue").where("id", "=", id).execute();
        else {
          const row = { rank: cue.rank, revision: cue.revision, doc: JSON.stringify(cue.doc) };
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

  /** Cues that were deleted within the edits that are kept, the latest first. */
  async deleted(): Promise<{ readonly cueId: string; readonly atMs: number; readonly doc: CueDoc }[]> {
    const entries = await this.#db
      .selectFrom("edit_log")
      .select(["at_ms", "change"])
      .where("evening_id", "=", this.#eveningId)
      .where("undone", "=", 0)
      .orderBy("id", "desc")
      .limit(KEPT_EDITS)
      .execute();
    const found = new Map<string, { cueId: string; atMs: number; doc: CueDoc }>();
    for (const { at_ms, change } of entries)
      for (const { cueId, before, after } of changeSchema.parse(JSON.parse(change)))
        if (before && !after && !this.#cues.has(cueId) && !found.has(cueId) && found.size < MOST_IN_BIN)
          found.set(cueId, { cueId, atMs: at_ms, doc: before.doc });
    return [...found.values()];
  }

  async #lastEdit(db: Db, actor: string, undone: boolean) {
    return db
      .selectFrom("edit_log")
      .selectAll()
      .where("evening_id", "=", this.#eveningId)
      .where("actor", "=", actor)
      .where("undone", "=", undone ? 1 : 0)
      .orderBy("id", undone ? "asc" : "desc")
      .limit(1)
      .executeTakeFirst();
  }

  /** An undo gives its cues new revisions; the same person's older edits of them must not take that for another's. */
  async #renumberOthers(db: Db, actor: string, exceptId: number, applied: Change): Promise<void> {
    const revisions = new Map(applied.map(({ cueId, revision }) => [cueId, revision]));
    const entries = await db
      .selectFrom("edit_log")
      .select(["id", "change"])
      .where("evening_id", "=", this.#eveningId)
      .where("actor", "=", actor)
      .where("id", "!=", exceptId)
      .orderBy("id", "desc")
      .limit(200)
      .execute();
    for (const { id, change } of entries) {
      const rows = changeSchema.parse(JSON.parse(change));
      if (!rows.some(({ cueId }) => revisions.has(cueId))) continue;
      const renumbered = rows.map((row) => ({ ...row, revision: revisions.get(row.cueId) ?? row.revision }));
      await db
        .updateTable("edit_log")
        .set({ change: JSON.stringify(renumbered) })
        .where("id", "=", id)
        .execute();
    }
  }

  async #dropOldEdits(db: Db): Promise<void> {
    const oldest = await db
      .selectFrom("edit_log")
      .select("id")
      .where("evening_id", "=", this.#eveningId)
      .orderBy("id", "desc")
      .offset(KEPT_EDITS)
      .limit(1)
      .executeTakeFirst();
    if (oldest)
      await db
        .deleteFrom("edit_log")
        .where("evening_id", "=", this.#eveningId)
        .where("id", "<=", oldest.id)
        .execute();
  }
}
