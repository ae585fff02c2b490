import { z } from "zod";
import type { CueDoc } from "../../core/rundown/cueDoc.ts";
import { cueKind } from "../../core/stored/kinds/cue.ts";
import { fromStored, toStored } from "../../core/stored/storedKind.ts";
import type { Db } from "./database.ts";
import type { Rank } from "./ranks.ts";

/** A cue row: null stands for a row that is not there. */
export interface CueRow {
  readonly rank: Rank;
  readonly doc: CueDoc;
}
const loggedRowSchema = z.strictObject({ rank: z.string().min(1), doc: z.unknown() });

/** What one edit did, row by row, so that it can be undone and done again. */
export interface ChangedRow {
  readonly cueId: string;
  readonly before: CueRow | null;
  readonly after: CueRow | null;
  /** Revision of the cue after the edit; 0 when it was deleted. */
  readonly revision: number;
}
export type Change = readonly ChangedRow[];
const loggedChangeSchema = z.array(
  z.strictObject({
    cueId: z.string(),
    before: loggedRowSchema.nullable(),
    after: loggedRowSchema.nullable(),
    revision: z.number().int(),
  }),
);

export interface LoggedEdit {
  readonly id: number;
  readonly label: string;
  /** Undefined when this version cannot read it. */
  readonly change: Change | undefined;
}

/** Typing that goes on within this time is one edit to undo. */
const COALESCE_MS = 4_000;
/** Edits kept for undo, per evening. */
const KEPT_EDITS = 2_000;
/** Entries of the log looked through for a cue. */
const LOOKED_THROUGH = 200;

/** What was done to the rundown of an evening, by whom: what undo takes back and redo does again. */
export class EditLog {
  readonly #db: Db;
  readonly #showId: string;
  readonly #eveningId: string;

  constructor(db: Db, showId: string, eveningId: string) {
    this.#db = db;
    this.#showId = showId;
    this.#eveningId = eveningId;
  }

  /**
   * Writes an edit; what its actor had undone can no longer be done again.
   * @param db the transaction that changes the rows
   * @param coalesce typing in one cue: with the edit before it, it is one edit
   */
  async add(
    db: Db,
    edit: { readonly actor: string; readonly label: string; readonly atMs: number; readonly change: Change },
    coalesce: boolean,
  ): Promise<void> {
    const { actor, label, atMs, change } = edit;
    const open = coalesce ? await this.#lastRow(db, actor, false) : undefined;
    const opened = open && readChange(open.change);
    const continues =
      open &&
      opened &&
      open.label === label &&
      atMs - open.at_ms < COALESCE_MS &&
      opened.length === 1 &&
      opened[0]?.cueId === change[0]?.cueId;
    await db
      .deleteFrom("edit_log")
      .where("evening_id", "=", this.#eveningId)
      .where("actor", "=", actor)
      .where("undone", "=", 1)
      .execute();
    if (continues && opened[0]) {
      const joined = [{ ...(change[0] as ChangedRow), before: opened[0].before }];
      await db
        .updateTable("edit_log")
        .set({ at_ms: atMs, change: writeChange(joined) })
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
        change: writeChange(change),
        undone: 0,
      })
      .execute();
    await this.#dropOld(db);
  }

  /** The edit that an actor's undo, or redo, would step over. */
  async last(actor: string, direction: "undo" | "redo"): Promise<LoggedEdit | undefined> {
    const row = await this.#lastRow(this.#db, actor, direction === "redo");
    return row && { id: row.id, label: row.label, change: readChange(row.change) };
  }

  /**
   * Notes that an edit was undone, or done again, and with which revisions.
   * @param db the transaction that changes the rows
   */
  async stepOver(
    db: Db,
    actor: string,
    editId: number,
    direction: "undo" | "redo",
    applied: Change,
  ): Promise<void> {
    await db
      .updateTable("edit_log")
      .set({ undone: direction === "undo" ? 1 : 0, change: writeChange(applied) })
      .where("id", "=", editId)
      .execute();
    await this.#renumberOthers(db, actor, editId, applied);
  }

  /** The greatest revision the latest edits gave: cues that are deleted had revisions too. */
  async lastRevision(): Promise<number> {
    const revisions = (await this.#latest()).flatMap(({ change }) =>
      (readChange(change) ?? []).map(({ revision }) => revision),
    );
    return Math.max(0, ...revisions);
  }

  /** Whose edit, or undo, gave a cue this revision; undefined when it is too long ago to be known. */
  async whoChanged(
    cueId: string,
    revision: number | undefined,
  ): Promise<{ readonly actor: string; readonly byUndo: boolean } | undefined> {
    for (const { actor, undone, change } of await this.#latest())
      if (readChange(change)?.some((row) => row.cueId === cueId && row.revision === revision))
        return { actor, byUndo: undone === 1 };
    return undefined;
  }

  /** Cues that an edit deleted, the latest first; one may stand more than once, or be back since. */
  async deletions(): Promise<{ readonly cueId: string; readonly atMs: number; readonly doc: CueDoc }[]> {
    const entries = await this.#db
      .selectFrom("edit_log")
      .select(["at_ms", "change"])
      .where("evening_id", "=", this.#eveningId)
      .where("undone", "=", 0)
      .orderBy("id", "desc")
      .limit(KEPT_EDITS)
      .execute();
    return entries.flatMap(({ at_ms, change }) =>
      (readChange(change) ?? []).flatMap(({ cueId, before, after }) =>
        before && !after ? [{ cueId, atMs: at_ms, doc: before.doc }] : [],
      ),
    );
  }

  async #latest() {
    return this.#db
      .selectFrom("edit_log")
      .select(["actor", "undone", "change"])
      .where("evening_id", "=", this.#eveningId)
      .orderBy("id", "desc")
      .limit(LOOKED_THROUGH)
      .execute();
  }

  async #lastRow(db: Db, actor: string, undone: boolean) {
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
      .limit(LOOKED_THROUGH)
      .execute();
    for (const { id, change } of entries) {
      const rows = readChange(change);
      if (!rows?.some(({ cueId }) => revisions.has(cueId))) continue;
      const renumbered = rows.map((row) => ({ ...row, revision: revisions.get(row.cueId) ?? row.revision }));
      await db
        .updateTable("edit_log")
        .set({ change: writeChange(renumbered) })
        .where("id", "=", id)
        .execute();
    }
  }

  async #dropOld(db: Db): Promise<void> {
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

const writeChange = (change: Change): string => {
  const written = (row: CueRow | null) => row && { ...row, doc: toStored(cueKind, row.doc) };
  return JSON.stringify(
    change.map((row) => ({ ...row, before: written(row.before), after: written(row.after) })),
  );
};

/** @returns undefined when this version cannot read it */
function readChange(text: string): Change | undefined {
  const logged = loggedChangeSchema.safeParse(JSON.parse(text));
  if (!logged.success) return undefined;
  const change: ChangedRow[] = [];
  for (const row of logged.data) {
    const sides = [row.before, row.after].map((side) => {
      const read = side && fromStored(cueKind, side.doc);
      return side && read && "value" in read ? { rank: side.rank, doc: read.value } : null;
    });
    const [before = null, after = null] = sides;
    if ((row.before && !before) || (row.after && !after)) return undefined;
    change.push({ ...row, before, after });
  }
  return change;
}
