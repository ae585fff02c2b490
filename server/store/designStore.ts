import type { Selectable, Updateable } from "kysely";
import { type Change, changesSchema, inverseOf, joinedChanges } from "../../core/design/changes.ts";
import {
  changed,
  changesOf,
  DESIGN_KINDS,
  type DesignDoc,
  type DesignKindName,
} from "../../core/design/designKinds.ts";
import { t } from "../../core/language/t.ts";
import { type StoredKind, writeStored } from "../../core/stored/storedKind.ts";
import type { ContentStore } from "./contentStore.ts";
import type { Db } from "./database.ts";
import type { Tables } from "./schema.ts";
import { SetAside } from "./setAside.ts";

/** What names a thing made in Design. */
export interface DesignRef<K extends DesignKindName = DesignKindName> {
  readonly kind: K;
  readonly id: string;
}

/** A thing made in Design, as it is in use and as it is being made. */
export interface Design<K extends DesignKindName = DesignKindName> extends DesignRef<K> {
  /** Null until it was published. */
  readonly published: { readonly hash: string; readonly doc: DesignDoc<K>; readonly number: number } | null;
  /** What is being made of it; null: it is as it was published. */
  readonly draft: DesignDoc<K> | null;
  /** Grows with every change of the draft. */
  readonly revision: number;
  readonly rank: number;
}

/** A thing that is not there yet. */
export interface NewDesign<K extends DesignKindName = DesignKindName> extends DesignRef<K> {
  readonly doc: DesignDoc<K>;
}

/** What is seen of it in Design: the draft where there is one. */
export const docOf = <K extends DesignKindName>({ id, kind, draft, published }: Design<K>): DesignDoc<K> => {
  const doc = draft ?? published?.doc;
  if (!doc) throw new Error(`The ${kind} ${id} has neither a draft nor a version`);
  return doc;
};

export interface DesignVersion {
  readonly number: number;
  readonly hash: string;
  readonly atMs: number;
  readonly actor: string;
  readonly note: string;
}

/** What came of a change. */
export type DesignChanged<K extends DesignKindName = DesignKindName> =
  | { readonly design: Design<K>; readonly label: string }
  /** Somebody else's change stands in the way, or nothing is there to be changed. */
  | { readonly problem: string };

/** Steps that one person may go back in one thing. */
const KEPT_EDITS = 5_000;
/** Changes of one kind that follow one another within this time are one step: dragging, typing. */
const JOINED_WITHIN_MS = 1_200;

const keyOf = ({ kind, id }: DesignRef): string => `${kind}/${id}`;

/** Templates, outfits, house styles and field sets: rows with drafts and versions, with a copy in memory. */
export class DesignStore {
  readonly #db: Db;
  readonly #contents: ContentStore;
  readonly #showId: string;
  readonly #setAside: SetAside;
  readonly #designs = new Map<string, Design>();
  readonly #listeners = new Set<(ref: DesignRef, isPublished: boolean) => void>();

  constructor(db: Db, contents: ContentStore, showId: string, setAside = new SetAside()) {
    this.#db = db;
    this.#contents = contents;
    this.#showId = showId;
    this.#setAside = setAside;
  }

  async load(): Promise<void> {
    const rows = await this.#db
      .selectFrom("design")
      .selectAll()
      .where("show_id", "=", this.#showId)
      .where("deleted_at_ms", "is", null)
      .orderBy("rank")
      .orderBy("id")
      .execute();
    const versions = await this.#db
      .selectFrom("design_version")
      .select(["kind", "design_id"])
      .select(({ fn }) => fn.max("number").as("number"))
      .where("show_id", "=", this.#showId)
      .groupBy(["kind", "design_id"])
      .execute();
    const newest = new Map(versions.map((row) => [`${row.kind}/${row.design_id}`, Number(row.number)]));
    await this.#contents.load(rows.flatMap(({ published_hash: hash }) => hash ?? []));
    for (const row of rows) {
      const design = this.#read(row, newest.get(`${row.kind}/${row.id}`) ?? 0);
      if (design) this.#designs.set(keyOf(design), design);
    }
  }

  /** All of a kind, in their order. */
  list<K extends DesignKindName>(kind: K): readonly Design<K>[] {
    return [...this.#designs.values()]
      .filter((design): design is Design<K> => design.kind === kind)
      .sort((a, b) => a.rank - b.rank);
  }

  find<K extends DesignKindName>(kind: K, id: string): Design<K> | undefined {
    return this.#designs.get(keyOf({ kind, id })) as Design<K> | undefined;
  }

  /** Told of each thing that changed, and whether what is in use of it did. */
  onChange(listener: (ref: DesignRef, isPublished: boolean) => void): void {
    this.#listeners.add(listener);
  }

  /** A new thing, in use at once or as a draft. @returns undefined where its id is taken */
  async add<K extends DesignKindName>(
    ref: DesignRef<K>,
    doc: DesignDoc<K>,
    how: { readonly actor: string; readonly atMs: number; readonly isDraft: boolean },
  ): Promise<Design<K> | undefined> {
    const [added] = await this.addAll([{ ...ref, doc }], how);
    return added as Design<K> | undefined;
  }

  /** New things, all of them or none. @returns those whose ids were free; an id stays taken when its thing is deleted */
  async addAll(
    news: readonly NewDesign[],
    how: { readonly actor: string; readonly atMs: number; readonly isDraft: boolean },
  ): Promise<readonly Design[]> {
    const free: NewDesign[] = [];
    for (const each of news) if (!(await this.#row(each.kind, each.id))) free.push(each);
    if (free.length === 0) return [];
    const hashes: string[] = [];
    if (!how.isDraft) for (const { doc } of free) hashes.push(await this.#contents.keep(doc));
    const nextRanks = new Map<DesignKindName, number>();
    const designs = free.map(({ kind, id, doc }, index): Design => {
      const rank = nextRanks.get(kind) ?? Math.max(-1, ...this.list(kind).map((design) => design.rank)) + 1;
      nextRanks.set(kind, rank + 1);
      const hash = hashes[index];
      return hash === undefined
        ? { kind, id, published: null, draft: doc, revision: 1, rank }
        : { kind, id, published: { hash, doc, number: 1 }, draft: null, revision: 1, rank };
    });
    await this.#db.transaction().execute(async (trx) => {
      for (const { kind, id, published, draft, rank } of designs) {
        await trx
          .insertInto("design")
          .values({
            id,
            show_id: this.#showId,
            kind,
            name: (published?.doc ?? draft)?.name ?? "",
            rank,
            published_hash: published?.hash ?? null,
            draft: draft && writeStored(storedOf(kind), draft),
            created_at_ms: Math.round(how.atMs),
            deleted_at_ms: null,
          })
          .execute();
        if (published) await this.#addVersion(trx, { kind, id }, published, { ...how, note: "" });
      }
    });
    for (const design of designs) this.#set(design, design.published !== null);
    return designs;
  }

  /**
   * Changes a draft. Changes that were thought of before the last one was written go beside it where they touch other places.
   * @param how.joins it goes on with what this person did a moment ago: one step back for both
   */
  async change<K extends DesignKindName>(
    ref: DesignRef<K>,
    changes: readonly Change[],
    how: { readonly actor: string; readonly label: string; readonly atMs: number; readonly joins: boolean },
  ): Promise<DesignChanged<K>> {
    const design = this.find(ref.kind, ref.id);
    if (!design) return { problem: GONE };
    const result = changed(ref.kind, docOf(design), changes);
    if ("clashes" in result) return { problem: CLASH };
    if ("problem" in result)
      return { problem: t`That cannot be done: ${result.problem}. Nothing was changed.` };
    // What was really changed, beside what stood already.
    const made = changesOf(ref.kind, docOf(design), result.doc);
    if (made.length === 0) return { design, label: how.label };
    const next = await this.#db.transaction().execute(async (trx) => {
      await this.#log(trx, design, made, how);
      return this.#saveDraft(trx, design, result.doc);
    });
    this.#set(next, false);
    return { design: next, label: how.label };
  }

  /** Goes one step of this person's back, or forward again. */
  async step<K extends DesignKindName>(
    ref: DesignRef<K>,
    actor: string,
    direction: "undo" | "redo",
  ): Promise<DesignChanged<K>> {
    const design = this.find(ref.kind, ref.id);
    if (!design) return { problem: GONE };
    const row = await this.#lastEdit(this.#db, ref, actor, direction === "redo");
    if (!row) return { problem: direction === "undo" ? NOTHING_TO_UNDO : NOTHING_TO_REDO };
    const logged = changesSchema.parse(JSON.parse(row.changes));
    const result = changed(ref.kind, docOf(design), direction === "undo" ? inverseOf(logged) : logged);
    if (!("doc" in result)) return { problem: cannotStep(direction, row.label) };
    const next = await this.#db.transaction().execute(async (trx) => {
      await trx
        .updateTable("design_edit")
        .set({ undone: direction === "undo" ? 1 : 0 })
        .where("id", "=", row.id)
        .execute();
      return this.#saveDraft(trx, design, result.doc);
    });
    this.#set(next, false);
    return { design: next, label: row.label };
  }

  /** What this person's undo and redo would step over. */
  async steps(
    ref: DesignRef,
    actor: string,
  ): Promise<{ readonly undo: string | null; readonly redo: string | null }> {
    const [undo, redo] = await Promise.all([
      this.#lastEdit(this.#db, ref, actor, false),
      this.#lastEdit(this.#db, ref, actor, true),
    ]);
    return { undo: undo?.label ?? null, redo: redo?.label ?? null };
  }

  /** The draft is in use from now on, as a version that stays. */
  async publish<K extends DesignKindName>(
    ref: DesignRef<K>,
    how: { readonly actor: string; readonly atMs: number; readonly note: string },
  ): Promise<Design<K>> {
    const design = this.find(ref.kind, ref.id);
    if (!design) throw new Error(`There is no ${ref.kind} ${ref.id} to publish`);
    const doc = docOf(design);
    const hash = await this.#contents.keep(doc);
    const number = (design.published?.number ?? 0) + 1;
    await this.#db.transaction().execute(async (trx) => {
      await this.#addVersion(trx, ref, { hash, number }, how);
      await this.#update(trx, ref, { published_hash: hash, draft: null, name: doc.name });
    });
    const next: Design<K> = { ...design, published: { hash, doc, number }, draft: null };
    this.#set(next, true);
    return next;
  }

  /** Versions of a thing, the newest first. */
  async versions({ kind, id }: DesignRef): Promise<DesignVersion[]> {
    const rows = await this.#db
      .selectFrom("design_version")
      .selectAll()
      .where("show_id", "=", this.#showId)
      .where("kind", "=", kind)
      .where("design_id", "=", id)
      .orderBy("number", "desc")
      .execute();
    return rows.map(({ number, content_hash: hash, at_ms: atMs, actor, note }) => ({
      number,
      hash,
      atMs,
      actor,
      note,
    }));
  }

  /** What a version was. */
  async version<K extends DesignKindName>(
    ref: DesignRef<K>,
    number: number,
  ): Promise<DesignDoc<K> | undefined> {
    const version = (await this.versions(ref)).find((each) => each.number === number);
    const doc = version && (await this.#contents.read([version.hash])).get(version.hash);
    return doc?.kind === ref.kind ? (doc as DesignDoc<K>) : undefined;
  }

  /** Takes things away, all or none; their rows stay for as long as the show, and they can be put back. @returns whether all were there */
  async remove(refs: readonly DesignRef[], atMs: number): Promise<boolean> {
    if (!refs.every((ref) => this.#designs.has(keyOf(ref)))) return false;
    await this.#db.transaction().execute(async (trx) => {
      for (const ref of refs) await this.#update(trx, ref, { deleted_at_ms: Math.round(atMs) });
    });
    for (const ref of refs) {
      this.#designs.delete(keyOf(ref));
      for (const listener of this.#listeners) listener(ref, true);
    }
    return true;
  }

  /** Puts a thing back, and what was taken away together with it. */
  async putBack(ref: DesignRef): Promise<boolean> {
    const row = await this.#row(ref.kind, ref.id);
    if (!row || row.deleted_at_ms === null) return false;
    const rows = await this.#db
      .selectFrom("design")
      .selectAll()
      .where("show_id", "=", this.#showId)
      .where("deleted_at_ms", "=", row.deleted_at_ms)
      .execute();
    await this.#db
      .updateTable("design")
      .set({ deleted_at_ms: null })
      .where("show_id", "=", this.#showId)
      .where("deleted_at_ms", "=", row.deleted_at_ms)
      .execute();
    await this.#contents.load(rows.flatMap(({ published_hash: hash }) => hash ?? []));
    for (const each of rows) {
      if (!isDesignKind(each.kind)) continue;
      const [newest] = await this.versions({ kind: each.kind, id: each.id });
      const design = this.#read(each, newest?.number ?? 0);
      if (design) this.#set(design, true);
    }
    return this.#designs.has(keyOf(ref));
  }

  async #addVersion(
    db: Db,
    { kind, id }: DesignRef,
    { hash, number }: { readonly hash: string; readonly number: number },
    how: { readonly actor: string; readonly atMs: number; readonly note: string },
  ): Promise<void> {
    await db
      .insertInto("design_version")
      .values({
        show_id: this.#showId,
        kind,
        design_id: id,
        number,
        content_hash: hash,
        at_ms: Math.round(how.atMs),
        actor: how.actor,
        note: how.note,
      })
      .execute();
  }

  #set(design: Design, isPublished: boolean): void {
    this.#designs.set(keyOf(design), design);
    for (const listener of this.#listeners) listener(design, isPublished);
  }

  #read(row: DesignRow, number: number): Design | undefined {
    const { id, kind, rank, revision, published_hash: hash } = row;
    if (!isDesignKind(kind)) return undefined;
    const doc = hash === null ? undefined : this.#contents.find(hash);
    const published = hash !== null && doc?.kind === kind ? { hash, doc, number } : null;
    const draft = row.draft === null ? null : (this.#setAside.read(storedOf(kind), id, row.draft) ?? null);
    return published || draft ? { id, kind, published, draft, rank, revision } : undefined;
  }

  #row(kind: DesignKindName, id: string) {
    return this.#db
      .selectFrom("design")
      .selectAll()
      .where("show_id", "=", this.#showId)
      .where("kind", "=", kind)
      .where("id", "=", id)
      .executeTakeFirst();
  }

  async #update(db: Db, { kind, id }: DesignRef, set: DesignUpdate): Promise<void> {
    await db
      .updateTable("design")
      .set(set)
      .where("show_id", "=", this.#showId)
      .where("kind", "=", kind)
      .where("id", "=", id)
      .execute();
  }

  async #saveDraft<K extends DesignKindName>(
    db: Db,
    design: Design<K>,
    doc: DesignDoc<K>,
  ): Promise<Design<K>> {
    const revision = design.revision + 1;
    // As it was published: nothing is being made of it any more.
    const isAsPublished = design.published && changesOf(design.kind, design.published.doc, doc).length === 0;
    const draft = isAsPublished ? null : doc;
    await this.#update(db, design, {
      draft: draft && writeStored(storedOf(design.kind), draft),
      revision,
      name: doc.name,
    });
    return { ...design, draft, revision };
  }

  async #log(
    db: Db,
    ref: DesignRef,
    changes: readonly Change[],
    how: { readonly actor: string; readonly label: string; readonly atMs: number; readonly joins: boolean },
  ): Promise<void> {
    const { actor, label } = how;
    const atMs = Math.round(how.atMs);
    const last = how.joins ? await this.#lastEdit(db, ref, actor, false) : undefined;
    const older = last && changesSchema.parse(JSON.parse(last.changes));
    const isOne =
      last !== undefined &&
      last.label === label &&
      atMs - last.at_ms < JOINED_WITHIN_MS &&
      older !== undefined;
    const joined = isOne ? joinedChanges(older, changes) : undefined;
    await this.#editsOf(db, ref, actor).where("undone", "=", 1).execute();
    if (last && joined) {
      await db
        .updateTable("design_edit")
        .set({ at_ms: atMs, changes: JSON.stringify(joined) })
        .where("id", "=", last.id)
        .execute();
      return;
    }
    await db
      .insertInto("design_edit")
      .values({
        show_id: this.#showId,
        kind: ref.kind,
        design_id: ref.id,
        at_ms: atMs,
        actor,
        label,
        changes: JSON.stringify(changes),
        undone: 0,
      })
      .execute();
    const oldest = await db
      .selectFrom("design_edit")
      .select("id")
      .where("show_id", "=", this.#showId)
      .where("kind", "=", ref.kind)
      .where("design_id", "=", ref.id)
      .where("actor", "=", actor)
      .orderBy("id", "desc")
      .offset(KEPT_EDITS)
      .limit(1)
      .executeTakeFirst();
    if (oldest) await this.#editsOf(db, ref, actor).where("id", "<=", oldest.id).execute();
  }

  #editsOf(db: Db, { kind, id }: DesignRef, actor: string) {
    return db
      .deleteFrom("design_edit")
      .where("show_id", "=", this.#showId)
      .where("kind", "=", kind)
      .where("design_id", "=", id)
      .where("actor", "=", actor);
  }

  #lastEdit(db: Db, { kind, id }: DesignRef, actor: string, isUndone: boolean) {
    return db
      .selectFrom("design_edit")
      .selectAll()
      .where("show_id", "=", this.#showId)
      .where("kind", "=", kind)
      .where("design_id", "=", id)
      .where("actor", "=", actor)
      .where("undone", "=", isUndone ? 1 : 0)
      .orderBy("id", isUndone ? "asc" : "desc")
      .limit(1)
      .executeTakeFirst();
  }
}

type DesignRow = Selectable<Tables["design"]>;
type DesignUpdate = Updateable<Tables["design"]>;

const isDesignKind = (kind: string): kind is DesignKindName => Object.hasOwn(DESIGN_KINDS, kind);
const storedOf = <K extends DesignKindName>(kind: K) =>
  DESIGN_KINDS[kind].stored as unknown as StoredKind<DesignDoc<K>>;

const GONE = t`It was deleted meanwhile. Nothing was changed.`;
const CLASH = t`Somebody else changed the same place meanwhile: what you see now is theirs, and yours was not made. Make it again where it is still wanted.`;
const NOTHING_TO_UNDO = t`There is nothing of yours to undo here.`;
const NOTHING_TO_REDO = t`There is nothing of yours to do again here.`;
const cannotStep = (direction: "undo" | "redo", label: string) =>
  t`“${label}” cannot be ${direction === "undo" ? t`undone` : t`done again`}: somebody else has changed the same place since. Nothing was changed.`;
