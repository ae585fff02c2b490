import { createHash } from "node:crypto";
import { z } from "zod";
import { type CarriedShow, NO_SHOW } from "../../core/carry/carriedShow.ts";
import { documentsNeeded } from "../../core/carry/documentsNeeded.ts";
import type { CarriedDesign } from "../../core/carry/parts/designs.ts";
import type { CarriedDocument } from "../../core/carry/parts/document.ts";
import type { CarriedEvening } from "../../core/carry/parts/evening.ts";
import type { CarriedText } from "../../core/carry/parts/text.ts";
import type { DesignKindName } from "../../core/design/designKinds.ts";
import { keyMapSchema } from "../../core/keys/keyMap.ts";
import type { SetAsideRow } from "../../core/report/health.ts";
import { libraryEntrySchema } from "../../core/scene/libraryEntry.ts";
import { clipKind } from "../../core/stored/kinds/clip.ts";
import { clipMappingKind } from "../../core/stored/kinds/clipMapping.ts";
import { commentSettingsKind } from "../../core/stored/kinds/commentSettings.ts";
import { cueKind } from "../../core/stored/kinds/cue.ts";
import { feedKind } from "../../core/stored/kinds/feed.ts";
import { followSettingsKind } from "../../core/stored/kinds/followSettings.ts";
import { goodTableKind } from "../../core/stored/kinds/goodTable.ts";
import { outputKind } from "../../core/stored/kinds/output.ts";
import { planKind } from "../../core/stored/kinds/plan.ts";
import { songKind } from "../../core/stored/kinds/song.ts";
import { sourceKind } from "../../core/stored/kinds/source.ts";
import { triggerKind } from "../../core/stored/kinds/trigger.ts";
import type { StoredKind } from "../../core/stored/storedKind.ts";
import { setLimitsSchema } from "../../core/venue/checkLimits.ts";
import { venueSchema } from "../../core/venue/plan.ts";
import { readReference } from "../../core/words/scripture.ts";
import { ContentStore } from "../store/contentStore.ts";
import type { Db } from "../store/database.ts";
import { SHIPPED_TEXTS } from "../store/makeShow.ts";
import { ScriptureStore } from "../store/scriptureStore.ts";
import { SetAside } from "../store/setAside.ts";
import { findShowId, loadShow } from "../store/showStore.ts";

/** All of a show as it is in a database, with what stands in the database itself of its files. */
export interface ReadShow {
  readonly show: CarriedShow;
  /** What was brought for feeds, by its hash. */
  readonly feedFiles: ReadonlyMap<string, Buffer>;
  /** What could not be read, and stays behind. */
  readonly leftOut: readonly SetAsideRow[];
}

/** Reads everything of a show that can be carried: all but its log, its links and who was let in. @throws Error when there is none */
export async function readShow(db: Db): Promise<ReadShow> {
  const setAside = new SetAside();
  const contents = new ContentStore(db, setAside);
  const showId = await findShowId(db);
  if (showId === undefined) throw new Error("There is no show in the database");
  const rows = new Rows(db, showId, setAside);
  const evening = await rows.evenings();
  const { feed, feedFiles } = await rows.feeds();
  const things = {
    ...NO_SHOW,
    evening,
    song: await rows.songs(),
    text: await textsRead(db, evening),
    media: await rows.media(),
    font: await db.selectFrom("font").select(["id", "name", "file"]).where("show_id", "=", showId).execute(),
    template: await rows.designs("template"),
    style: await rows.designs("style"),
    outfit: await rows.designs("outfit"),
    fieldSet: await rows.designs("fieldSet"),
    output: await rows.ranked("output", outputKind),
    plan: await rows.ranked("screen_plan", planKind),
    feed,
    source: await rows.follow("source", sourceKind),
    trigger: await rows.follow("trigger", triggerKind),
    clip: await rows.follow("clip", clipKind),
    mapping: await rows.follow("mapping", clipMappingKind),
    house: [await rows.house(contents)],
  };
  return { show: await withDocuments(things, contents), feedFiles, leftOut: setAside.rows };
}

/** Templates name pictures: what they name is known once they are read. */
async function withDocuments(show: CarriedShow, contents: ContentStore): Promise<CarriedShow> {
  await contents.load(documentsNeeded(show, () => undefined));
  const hashes = documentsNeeded(show, contents.find.bind(contents));
  await contents.load(hashes);
  const documents = hashes.flatMap((id): CarriedDocument[] => {
    const doc = contents.find(id);
    return doc && doc.kind !== "page" ? [{ id, kind: doc.kind, doc } as CarriedDocument] : [];
  });
  return { ...show, documents };
}

class Rows {
  constructor(
    readonly db: Db,
    readonly showId: string,
    readonly setAside: SetAside,
  ) {}

  async evenings(): Promise<CarriedEvening[]> {
    const { db, showId, setAside } = this;
    const rows = await db
      .selectFrom("evening")
      .selectAll()
      .where("show_id", "=", showId)
      .where("deleted_at_ms", "is", null)
      .orderBy("created_at_ms")
      .execute();
    const evenings: CarriedEvening[] = [];
    for (const { id, name, day, starts_at, ends_at, created_at_ms } of rows) {
      const cues = await db
        .selectFrom("cue")
        .select(["id", "doc"])
        .where("evening_id", "=", id)
        .orderBy("rank")
        .orderBy("id")
        .execute();
      const seen = await db.selectFrom("seen_step").selectAll().where("evening_id", "=", id).execute();
      evenings.push({
        ...{ id, name, day, startsAt: starts_at, endsAt: ends_at, createdAtMs: created_at_ms },
        cues: cues.flatMap((cue) => {
          const doc = setAside.read(cueKind, cue.id, cue.doc);
          return doc ? [{ id: cue.id, doc }] : [];
        }),
        seen: seen.map(({ step_key, seen_at_ms, seen_by }) => ({
          ...{ key: step_key, atMs: seen_at_ms, by: seen_by },
        })),
      });
    }
    return evenings;
  }

  async songs(): Promise<CarriedShow["song"]> {
    const rows = await this.db
      .selectFrom("song")
      .selectAll()
      .where("deleted_at_ms", "is", null)
      .orderBy("number")
      .execute();
    return rows.flatMap(({ id, doc: stored, changed_at_ms }) => {
      const doc = this.setAside.read(songKind, id, stored);
      return doc ? [{ id, doc, changedAtMs: changed_at_ms }] : [];
    });
  }

  async media(): Promise<CarriedShow["media"]> {
    const rows = await this.db
      .selectFrom("media")
      .selectAll()
      .where("show_id", "=", this.showId)
      .orderBy("added_at_ms")
      .execute();
    return rows.map(({ id, content_hash, folder, tags, added_at_ms }) => ({
      ...{ id, hash: content_hash, folder, addedAtMs: added_at_ms },
      tags: [...this.setAside.readValue("tags", id, libraryEntrySchema.shape.tags, tags, [])],
    }));
  }

  async designs(kind: DesignKindName): Promise<CarriedDesign[]> {
    const rows = await this.db
      .selectFrom("design")
      .selectAll()
      .where("show_id", "=", this.showId)
      .where("kind", "=", kind)
      .where("deleted_at_ms", "is", null)
      .orderBy("rank")
      .orderBy("id")
      .execute();
    return rows.map(({ id, name, rank, published_hash, draft }) => ({
      ...{ id, name, rank, hash: published_hash },
      draft: draft === null ? null : this.setAside.readValue("draft", id, draftSchema, draft, {}),
    }));
  }

  async ranked<T>(
    table: "output" | "screen_plan",
    kind: StoredKind<T>,
  ): Promise<{ readonly id: string; readonly doc: T }[]> {
    const rows = await this.db
      .selectFrom(table)
      .select(["id", "doc"])
      .where("show_id", "=", this.showId)
      .orderBy("rank")
      .execute();
    return rows.flatMap(({ id, doc: stored }) => {
      const doc = this.setAside.read(kind, id, stored);
      return doc ? [{ id, doc }] : [];
    });
  }

  async feeds(): Promise<{ readonly feed: CarriedShow["feed"]; readonly feedFiles: Map<string, Buffer> }> {
    const rows = await this.db
      .selectFrom("feed")
      .selectAll()
      .where("show_id", "=", this.showId)
      .orderBy("id")
      .execute();
    const feedFiles = new Map<string, Buffer>();
    const feed = rows.flatMap(({ id, doc: stored, good, file: bytes }) => {
      const doc = this.setAside.read(feedKind, id, stored);
      if (!doc) return [];
      const file = bytes && createHash("sha256").update(bytes).digest("hex");
      if (file && bytes) feedFiles.set(file, bytes);
      const table = good === null ? null : (this.setAside.read(goodTableKind, id, good) ?? null);
      return [{ id, doc, good: table, file }];
    });
    return { feed, feedFiles };
  }

  async follow<T>(
    name: string,
    kind: StoredKind<T>,
  ): Promise<{ readonly id: string; readonly place: number; readonly doc: T }[]> {
    const rows = await this.db
      .selectFrom("follow")
      .select(["id", "place", "doc"])
      .where("show_id", "=", this.showId)
      .where("kind", "=", name)
      .orderBy("place")
      .orderBy("id")
      .execute();
    return rows.flatMap(({ id, place, doc: stored }) => {
      const doc = this.setAside.read(kind, id, stored);
      return doc ? [{ id, place, doc }] : [];
    });
  }

  async house(contents: ContentStore): Promise<CarriedShow["house"][number]> {
    const { db, showId, setAside } = this;
    const { layers, plan, style } = await loadShow(db, contents, showId, setAside);
    const row = await db.selectFrom("show").selectAll().where("id", "=", showId).executeTakeFirstOrThrow();
    const comments = await db
      .selectFrom("comment_settings")
      .select("doc")
      .where("show_id", "=", showId)
      .executeTakeFirst();
    const [follow] = await this.follow("settings", followSettingsKind);
    return {
      ...{ id: "house", name: row.name, place: row.place, timeZone: row.time_zone, licence: row.licence },
      language: row.language,
      room: setAside.readValue("room", showId, venueSchema.nullable(), row.venue, null),
      keys: setAside.readValue("keys", showId, keyMapSchema, row.keys, {}),
      limits: setAside.readValue("limits", showId, setLimitsSchema, row.check_limits, {}),
      ...{ styleHash: style.hash, styleId: style.id, layers: [...layers], plan },
      follow: follow?.doc ?? null,
      comments: (comments && setAside.read(commentSettingsKind, showId, comments.doc)) ?? null,
      openEvening: row.evening_id,
    };
  }
}

const draftSchema = z.record(z.string(), z.unknown());

/** The verses that evenings read from texts that not every installation has. */
async function textsRead(db: Db, evenings: readonly CarriedEvening[]): Promise<CarriedText[]> {
  const shipped = new Set(SHIPPED_TEXTS.map(({ code }) => code));
  const wanted = new Map<string, Set<string>>();
  for (const { cues } of evenings)
    for (const { doc } of cues) {
      if (doc.kind !== "reading") continue;
      for (const code of [doc.text, doc.second?.text])
        if (code !== undefined && !shipped.has(code))
          wanted.set(code, (wanted.get(code) ?? new Set()).add(doc.reference));
    }
  if (wanted.size === 0) return [];
  const scriptures = new ScriptureStore(db);
  await scriptures.load();
  return [...wanted].flatMap(([code, references]): CarriedText[] => {
    const info = scriptures.info(code);
    if (!info) return [];
    const verses = new Map<string, CarriedText["verses"][number]>();
    for (const reference of references) {
      const read = readReference(scriptures, code, reference);
      if ("problem" in read) continue;
      for (const { passage, verses: each } of read.passages)
        for (const { chapter, verse, text } of each)
          verses.set(`${passage.from.book} ${chapter}:${verse}`, [passage.from.book, chapter, verse, text]);
    }
    const { name, language, rights } = info;
    return [{ id: code, name, language, rights, verses: [...verses.values()] }];
  });
}
