import { randomUUID } from "node:crypto";
import { type CarriedShow, thingsOf } from "../../core/carry/carriedShow.ts";
import type { CarriedEvening } from "../../core/carry/parts/evening.ts";
import type { CarriedHouse } from "../../core/carry/parts/house.ts";
import type { DesignKindName } from "../../core/design/designKinds.ts";
import { t } from "../../core/language/t.ts";
import { clipKind } from "../../core/stored/kinds/clip.ts";
import { clipMappingKind } from "../../core/stored/kinds/clipMapping.ts";
import { commentSettingsKind } from "../../core/stored/kinds/commentSettings.ts";
import { cueKind } from "../../core/stored/kinds/cue.ts";
import { feedKind } from "../../core/stored/kinds/feed.ts";
import { followSettingsKind } from "../../core/stored/kinds/followSettings.ts";
import { goodTableKind } from "../../core/stored/kinds/goodTable.ts";
import { outputKind } from "../../core/stored/kinds/output.ts";
import { planKind } from "../../core/stored/kinds/plan.ts";
import { sourceKind } from "../../core/stored/kinds/source.ts";
import { triggerKind } from "../../core/stored/kinds/trigger.ts";
import { PINNED_KINDS } from "../../core/stored/kinds.ts";
import { type StoredKind, toStored, writeStored } from "../../core/stored/storedKind.ts";
import type { Db } from "../store/database.ts";
import { firstRanks } from "../store/ranks.ts";
import { ScriptureStore } from "../store/scriptureStore.ts";
import { SongStore } from "../store/songStore.ts";

/** Who brings it, and when. */
export interface Bringing {
  readonly actor: string;
  readonly atMs: number;
  /** Files that stand in the database itself, by their hashes. */
  readonly feedFiles: ReadonlyMap<string, Buffer>;
}

const DESIGNS = ["template", "style", "outfit", "fieldSet"] as const satisfies readonly DesignKindName[];
const FOLLOW = {
  source: sourceKind,
  trigger: triggerKind,
  clip: clipKind,
  mapping: clipMappingKind,
} as const;

/**
 * Writes things into the show of a database, each over what is there under its id: all of them, or none.
 * @param show what `mergeShows` made, or a whole show
 */
export async function writeShow(db: Db, showId: string, show: CarriedShow, how: Bringing): Promise<void> {
  await writeTexts(db, show.text);
  const songs = new SongStore(db);
  await db.transaction().execute(async (transaction) => {
    const writer = new Writer(transaction, showId, how);
    await writer.documents(show.documents);
    for (const evening of show.evening) await writer.evening(evening);
    for (const { id, doc, changedAtMs } of show.song)
      await songs.put(transaction, id, doc, { actor: how.actor, atMs: changedAtMs });
    await writer.media(show.media);
    await writer.fonts(show.font);
    for (const kind of DESIGNS) for (const design of show[kind]) await writer.design(kind, design);
    await writer.ranked("output", outputKind, show.output);
    await writer.ranked("screen_plan", planKind, show.plan);
    await writer.feeds(show.feed);
    for (const kind of ["source", "trigger", "clip", "mapping"] as const)
      await writer.follow(kind, FOLLOW[kind] as StoredKind<unknown>, thingsOf(show, kind));
    for (const house of show.house) await writer.house(house);
  });
}

/** Fills a database that has no show with one. @returns its id */
export async function writeNewShow(db: Db, show: CarriedShow, how: Bringing): Promise<string> {
  const [house] = show.house;
  if (!house) throw new Error("A show without its settings cannot be opened as a new one");
  const id = `show-${randomUUID()}`;
  await db.transaction().execute(async (transaction) => {
    await new Writer(transaction, id, how).documents(show.documents);
    await transaction
      .insertInto("show")
      .values({
        ...{ id, name: house.name, place: house.place, layers: JSON.stringify(house.layers) },
        ...{ plan: writeStored(planKind, house.plan), style_hash: house.styleHash },
        ...{ time_zone: house.timeZone, created_at_ms: Math.round(how.atMs), evening_id: house.openEvening },
      })
      .execute();
  });
  await writeShow(db, id, show, how);
  return id;
}

class Writer {
  constructor(
    readonly db: Db,
    readonly showId: string,
    readonly how: Bringing,
  ) {}

  get #atMs(): number {
    return Math.round(this.how.atMs);
  }

  async documents(documents: CarriedShow["documents"]): Promise<void> {
    for (const { id: hash, kind, doc } of documents)
      await this.db
        .insertInto("content")
        .values({
          hash,
          doc: JSON.stringify(toStored(PINNED_KINDS[kind] as unknown as StoredKind<unknown>, doc)),
          created_at_ms: this.#atMs,
        })
        .onConflict((oc) => oc.doNothing())
        .execute();
  }

  /** Its cues are those that come and no others; what was done to those before cannot be undone any more. */
  async evening({ id, name, day, startsAt, endsAt, createdAtMs, cues, seen }: CarriedEvening): Promise<void> {
    const { db, showId } = this;
    const said = { name, day, starts_at: startsAt, ends_at: endsAt, deleted_at_ms: null };
    await db
      .insertInto("evening")
      .values({ id, show_id: showId, created_at_ms: createdAtMs, ...said })
      .onConflict((oc) => oc.column("id").doUpdateSet(said))
      .execute();
    const last = await db
      .selectFrom("cue")
      .select(({ fn }) => fn.max("revision").as("revision"))
      .where("evening_id", "=", id)
      .executeTakeFirst();
    const from = Number(last?.revision ?? 0);
    for (const table of ["cue", "edit_log", "seen_step"] as const)
      await db.deleteFrom(table).where("evening_id", "=", id).execute();
    const ranks = firstRanks(cues.length);
    for (const [index, cue] of cues.entries())
      await db
        .insertInto("cue")
        .values({
          ...{ id: cue.id, show_id: showId, evening_id: id, rank: ranks[index] as string },
          ...{ revision: from + index + 1, doc: writeStored(cueKind, cue.doc) },
        })
        .execute();
    for (const { key, atMs, by } of seen)
      await db
        .insertInto("seen_step")
        .values({ evening_id: id, step_key: key, seen_at_ms: atMs, seen_by: by })
        .onConflict((oc) => oc.doNothing())
        .execute();
  }

  async media(items: CarriedShow["media"]): Promise<void> {
    for (const { id, hash, folder, tags, addedAtMs } of items) {
      const said = { content_hash: hash, folder, tags: JSON.stringify(tags) };
      await this.db
        .insertInto("media")
        .values({ id, show_id: this.showId, added_at_ms: addedAtMs, ...said })
        .onConflict((oc) => oc.column("id").doUpdateSet(said))
        .execute();
    }
  }

  async fonts(fonts: CarriedShow["font"]): Promise<void> {
    for (const { id, name, file } of fonts)
      await this.db
        .insertInto("font")
        .values({ id, show_id: this.showId, name, file })
        .onConflict((oc) => oc.column("id").doUpdateSet({ name, file }))
        .execute();
  }

  /** What is in use of it comes as its next version. */
  async design(
    kind: DesignKindName,
    { id, name, rank, hash, draft }: CarriedShow["template"][number],
  ): Promise<void> {
    const { db, showId } = this;
    const here = await db
      .selectFrom("design")
      .selectAll()
      .where("show_id", "=", showId)
      .where("kind", "=", kind)
      .where("id", "=", id)
      .executeTakeFirst();
    const said = {
      ...{ name, published_hash: hash, draft: draft && JSON.stringify(draft), deleted_at_ms: null },
      revision: (here?.revision ?? 0) + 1,
    };
    await db
      .insertInto("design")
      .values({ id, show_id: showId, kind, rank: here?.rank ?? rank, created_at_ms: this.#atMs, ...said })
      .onConflict((oc) => oc.columns(["show_id", "kind", "id"]).doUpdateSet(said))
      .execute();
    await db
      .deleteFrom("design_edit")
      .where("show_id", "=", showId)
      .where("kind", "=", kind)
      .where("design_id", "=", id)
      .execute();
    if (hash === null || here?.published_hash === hash) return;
    const last = await db
      .selectFrom("design_version")
      .select(({ fn }) => fn.max("number").as("number"))
      .where("show_id", "=", showId)
      .where("kind", "=", kind)
      .where("design_id", "=", id)
      .executeTakeFirst();
    await db
      .insertInto("design_version")
      .values({
        ...{ show_id: showId, kind, design_id: id, number: Number(last?.number ?? 0) + 1 },
        ...{ content_hash: hash, at_ms: this.#atMs, actor: this.how.actor, note: t`Brought` },
      })
      .execute();
  }

  async ranked<T>(
    table: "output" | "screen_plan",
    kind: StoredKind<T>,
    things: readonly { readonly id: string; readonly doc: T }[],
  ): Promise<void> {
    const last = await this.db
      .selectFrom(table)
      .select(({ fn }) => fn.max("rank").as("rank"))
      .where("show_id", "=", this.showId)
      .executeTakeFirst();
    let rank = Number(last?.rank ?? -1);
    for (const thing of things) {
      const doc = writeStored(kind, thing.doc);
      rank++;
      await this.db
        .insertInto(table)
        .values({ id: thing.id, show_id: this.showId, rank, doc })
        .onConflict((oc) => oc.columns(["show_id", "id"]).doUpdateSet({ doc }))
        .execute();
    }
  }

  async feeds(feeds: CarriedShow["feed"]): Promise<void> {
    for (const { id, doc, good, file } of feeds) {
      const here = await this.db
        .selectFrom("feed")
        .select("revision")
        .where("show_id", "=", this.showId)
        .where("id", "=", id)
        .executeTakeFirst();
      const said = {
        revision: (here?.revision ?? 0) + 1,
        doc: writeStored(feedKind, doc),
        good: good && writeStored(goodTableKind, good),
        file: (file !== null && this.how.feedFiles.get(file)) || null,
      };
      await this.db
        .insertInto("feed")
        .values({ id, show_id: this.showId, ...said })
        .onConflict((oc) => oc.columns(["show_id", "id"]).doUpdateSet(said))
        .execute();
    }
  }

  async follow<T>(
    kind: keyof typeof FOLLOW | "settings",
    stored: StoredKind<T>,
    things: readonly { readonly id: string; readonly place: number; readonly doc: T }[],
  ): Promise<void> {
    for (const { id, place, doc } of things) {
      const here = await this.db
        .selectFrom("follow")
        .select("revision")
        .where("show_id", "=", this.showId)
        .where("kind", "=", kind)
        .where("id", "=", id)
        .executeTakeFirst();
      const said = { revision: (here?.revision ?? 0) + 1, doc: writeStored(stored, doc) };
      await this.db
        .insertInto("follow")
        .values({ show_id: this.showId, kind, id, place, ...said })
        .onConflict((oc) => oc.columns(["show_id", "kind", "id"]).doUpdateSet(said))
        .execute();
    }
  }

  /** What is set for all evenings; which of them is open is not the other show's to say. */
  async house(house: CarriedHouse): Promise<void> {
    const { db, showId } = this;
    await db
      .updateTable("show")
      .set({
        ...{ name: house.name, place: house.place, time_zone: house.timeZone, licence: house.licence },
        ...{ language: house.language, keys: JSON.stringify(house.keys) },
        ...{ check_limits: JSON.stringify(house.limits) },
        ...{ style_hash: house.styleHash, style_id: house.styleId },
        ...(house.room && { venue: JSON.stringify(house.room) }),
      })
      .where("id", "=", showId)
      .execute();
    if (house.follow)
      await this.follow("settings", followSettingsKind, [{ id: "venue", place: 0, doc: house.follow }]);
    if (!house.comments) return;
    const doc = writeStored(commentSettingsKind, house.comments);
    await db
      .insertInto("comment_settings")
      .values({ show_id: showId, doc })
      .onConflict((oc) => oc.column("show_id").doUpdateSet({ doc }))
      .execute();
  }
}

/** Texts that are not here, each with what is read of it. One that is here has more. */
async function writeTexts(db: Db, texts: CarriedShow["text"]): Promise<void> {
  if (texts.length === 0) return;
  const scriptures = new ScriptureStore(db);
  await scriptures.load();
  for (const { id: code, name, language, rights, verses } of texts) {
    if (scriptures.info(code)) continue;
    await scriptures.add({ code, name, language, rights }, [
      verses.map(([book, chapter, verse, words]) => ({ book, chapter, verse, words })),
    ]);
  }
}
