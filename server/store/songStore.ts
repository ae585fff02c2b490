import { setImmediate as nextTurn } from "node:timers/promises";
import { isDeepStrictEqual } from "node:util";
import { languageCode, t } from "../../core/language/t.ts";
import { songKind } from "../../core/stored/kinds/song.ts";
import { writeStored } from "../../core/stored/storedKind.ts";
import type { SongLine } from "../../core/words/finds.ts";
import { parseSong } from "../../core/words/song.ts";
import { type SongFields, songFieldsOf } from "../../core/words/songFields.ts";
import type { Db } from "./database.ts";
import { SetAside } from "./setAside.ts";
import { WordIndex } from "./wordIndex.ts";

/** Songs taken in at once: the write lock is held for a few milliseconds. */
const BATCH = 50;
/** Saves by the same person within this time are one version. */
const COALESCE_MS = 10 * 60_000;
const KEPT_VERSIONS = 50;
const MOST_SONGS = 50_000;

export interface StoredSong {
  readonly id: string;
  readonly revision: number;
  readonly song: SongFields;
  readonly changedAtMs: number;
}

export interface SongVersion {
  readonly revision: number;
  readonly atMs: number;
  readonly song: SongFields;
}

export type SongSaved =
  | { readonly kind: "saved"; readonly revision: number }
  | { readonly kind: "conflict"; readonly by: "own" | "other"; readonly current: StoredSong }
  | { readonly kind: "gone" };

/** The venue's songs, found by title, first line, any words, writer or number. */
export class SongStore {
  readonly #db: Db;
  readonly #index: WordIndex;

  readonly #setAside: SetAside;

  constructor(db: Db, setAside = new SetAside()) {
    this.#db = db;
    this.#setAside = setAside;
    this.#index = new WordIndex(db, {
      name: "song_words",
      columns: [
        { name: "title", weight: 12 },
        { name: "first", weight: 6 },
        { name: "words", weight: 1 },
        { name: "writers", weight: 3 },
        { name: "number", weight: 8 },
      ],
    });
  }

  async load(): Promise<void> {
    if (await this.#index.isEmpty()) await this.#indexAll();
    await this.#index.warm();
  }

  /** All or nothing: an index that is filled in part would pass for a whole one. */
  async #indexAll(): Promise<void> {
    const songs = await this.#db.selectFrom("song").selectAll().where("deleted_at_ms", "is", null).execute();
    await this.#db.transaction().execute(async (transaction) => {
      for (let at = 0; at < songs.length; at += BATCH) {
        const batch = songs.slice(at, at + BATCH);
        const rows = batch.flatMap((row) => {
          const stored = this.#read(row);
          return stored ? [{ row: row.number, texts: indexedTexts(stored.song) }] : [];
        });
        await this.#index.add(rows, transaction);
      }
    });
  }

  async count(): Promise<number> {
    const { count } = await this.#db
      .selectFrom("song")
      .select(({ fn }) => fn.countAll<number>().as("count"))
      .where("deleted_at_ms", "is", null)
      .executeTakeFirstOrThrow();
    return Number(count);
  }

  /** By title when nothing is looked for, else the best first. */
  async list(query: string, limit: number): Promise<SongLine[]> {
    if (query.trim() === "") {
      const rows = await this.#db
        .selectFrom("song")
        .selectAll()
        .where("deleted_at_ms", "is", null)
        .orderBy("title")
        .limit(limit)
        .execute();
      return rows.flatMap((row) => this.#line(row));
    }
    return (await this.search(query, limit)).songs;
  }

  /** Songs with these words, and whether their spelling had to be guessed. */
  async search(query: string, limit: number): Promise<{ songs: SongLine[]; areGuesses: boolean }> {
    const found = await this.#index.search(query, limit);
    if (found.length === 0) return { songs: [], areGuesses: false };
    const rows = await this.#db
      .selectFrom("song")
      .selectAll()
      .where("deleted_at_ms", "is", null)
      .where(
        "number",
        "in",
        found.map(({ row }) => row),
      )
      .execute();
    const byNumber = new Map(rows.map((row) => [row.number, row]));
    const songs = found.flatMap(({ row }) => {
      const song = byNumber.get(row);
      return song ? this.#line(song) : [];
    });
    return { songs, areGuesses: found.some(({ isGuess }) => isGuess) };
  }

  async find(id: string): Promise<StoredSong | undefined> {
    const row = await this.#db
      .selectFrom("song")
      .selectAll()
      .where("id", "=", id)
      .where("deleted_at_ms", "is", null)
      .executeTakeFirst();
    return row && this.#read(row);
  }

  /**
   * Adds songs, in short batches; each is searchable once it is written.
   * @returns a sentence when there is no room for them
   */
  async addAll(
    songs: readonly { readonly id: string; readonly song: SongFields }[],
    actor: string,
    atMs: number,
  ): Promise<string | undefined> {
    const count = await this.count();
    if (count + songs.length > MOST_SONGS)
      return t`The library holds ${count.toLocaleString(languageCode())} songs and can hold ${MOST_SONGS.toLocaleString(languageCode())}. Nothing was added; take some out first.`;
    for (let at = 0; at < songs.length; at += BATCH) {
      const batch = songs.slice(at, at + BATCH);
      await this.#db.transaction().execute(async (transaction) => {
        const rows: { row: number; texts: readonly string[] }[] = [];
        for (const { id, song } of batch) {
          const doc = writeStored(songKind, song);
          const { number } = await transaction
            .insertInto("song")
            .values({ id, revision: 1, title: titleOf(song), doc, changed_at_ms: atMs, deleted_at_ms: null })
            .returning("number")
            .executeTakeFirstOrThrow();
          await transaction
            .insertInto("song_version")
            .values({ song_number: number, revision: 1, at_ms: atMs, actor, doc })
            .execute();
          rows.push({ row: number, texts: indexedTexts(song) });
        }
        await this.#index.add(rows, transaction);
      });
      await nextTurn();
    }
    return undefined;
  }

  /** Writes a song that comes from another show, over what is here under its id, which stays as a version. */
  async put(
    transaction: Db,
    id: string,
    song: SongFields,
    { actor, atMs }: { readonly actor: string; readonly atMs: number },
  ): Promise<void> {
    const doc = writeStored(songKind, song);
    const found = await transaction.selectFrom("song").selectAll().where("id", "=", id).executeTakeFirst();
    const revision = (found?.revision ?? 0) + 1;
    const row = { revision, title: titleOf(song), doc, changed_at_ms: Math.round(atMs), deleted_at_ms: null };
    const { number } = found
      ? await transaction
          .updateTable("song")
          .set(row)
          .where("id", "=", id)
          .returning("number")
          .executeTakeFirstOrThrow()
      : await transaction
          .insertInto("song")
          .values({ id, ...row })
          .returning("number")
          .executeTakeFirstOrThrow();
    await transaction
      .insertInto("song_version")
      .values({ song_number: number, revision, at_ms: Math.round(atMs), actor, doc })
      .execute();
    await this.#index.remove(number, number, transaction);
    await this.#index.add([{ row: number, texts: indexedTexts(song) }], transaction);
  }

  /** Saves a song over the revision it was built on, and keeps what it was. */
  async save(
    id: string,
    song: SongFields,
    baseRevision: number,
    actor: string,
    atMs: number,
  ): Promise<SongSaved> {
    return this.#db.transaction().execute(async (transaction): Promise<SongSaved> => {
      const row = await transaction
        .selectFrom("song")
        .selectAll()
        .where("id", "=", id)
        .where("deleted_at_ms", "is", null)
        .executeTakeFirst();
      if (!row) return { kind: "gone" };
      if (row.revision !== baseRevision) {
        const current = this.#read(row);
        if (!current) return { kind: "gone" };
        // The answer to this very save was lost on the way: it is saved.
        if (isDeepStrictEqual(current.song, song)) return { kind: "saved", revision: row.revision };
        const last = await transaction
          .selectFrom("song_version")
          .select("actor")
          .where("song_number", "=", row.number)
          .where("revision", "=", row.revision)
          .executeTakeFirst();
        return { kind: "conflict", by: last?.actor === actor ? "own" : "other", current };
      }
      const revision = row.revision + 1;
      const doc = writeStored(songKind, song);
      await transaction
        .updateTable("song")
        .set({ revision, title: titleOf(song), doc, changed_at_ms: atMs })
        .where("number", "=", row.number)
        .execute();
      const last = await transaction
        .selectFrom("song_version")
        .selectAll()
        .where("song_number", "=", row.number)
        .orderBy("revision", "desc")
        .limit(1)
        .executeTakeFirst();
      const continues = last && last.revision > 1 && last.actor === actor && atMs - last.at_ms < COALESCE_MS;
      if (continues)
        await transaction
          .updateTable("song_version")
          .set({ revision, doc })
          .where("song_number", "=", row.number)
          .where("revision", "=", last.revision)
          .execute();
      else
        await transaction
          .insertInto("song_version")
          .values({ song_number: row.number, revision, at_ms: atMs, actor, doc })
          .execute();
      const old = await transaction
        .selectFrom("song_version")
        .select("revision")
        .where("song_number", "=", row.number)
        .orderBy("revision", "desc")
        .offset(KEPT_VERSIONS)
        .limit(1)
        .executeTakeFirst();
      if (old)
        await transaction
          .deleteFrom("song_version")
          .where("song_number", "=", row.number)
          .where("revision", "<=", old.revision)
          .execute();
      await this.#index.remove(row.number, row.number, transaction);
      await this.#index.add([{ row: row.number, texts: indexedTexts(song) }], transaction);
      return { kind: "saved", revision };
    });
  }

  /** What a song was, the newest first. */
  async versions(id: string): Promise<SongVersion[]> {
    const rows = await this.#db
      .selectFrom("song_version")
      .innerJoin("song", "song.number", "song_version.song_number")
      .select(["song_version.revision", "song_version.at_ms", "song_version.doc"])
      .where("song.id", "=", id)
      .orderBy("song_version.revision", "desc")
      .limit(KEPT_VERSIONS)
      .execute();
    return rows.flatMap(({ revision, at_ms, doc }) => {
      const song = this.#setAside.read(songKind, t`${id} of revision ${revision}`, doc);
      return song ? [{ revision, atMs: at_ms, song }] : [];
    });
  }

  /** Takes a song out of the library, or puts it back. Cues that sing it have their own copy. */
  async setDeleted(id: string, deletedAtMs: number | null): Promise<boolean> {
    const row = await this.#db.selectFrom("song").where("id", "=", id).selectAll().executeTakeFirst();
    if (!row) return false;
    await this.#db.transaction().execute(async (transaction) => {
      await transaction
        .updateTable("song")
        .set({ deleted_at_ms: deletedAtMs })
        .where("number", "=", row.number)
        .execute();
      await this.#index.remove(row.number, row.number, transaction);
      const stored = this.#read(row);
      if (deletedAtMs === null && stored)
        await this.#index.add([{ row: row.number, texts: indexedTexts(stored.song) }], transaction);
    });
    return true;
  }

  /** Every song, a few at a time, by title. */
  async *all(): AsyncGenerator<StoredSong> {
    for (let offset = 0; ; offset += 100) {
      const rows = await this.#db
        .selectFrom("song")
        .selectAll()
        .where("deleted_at_ms", "is", null)
        .orderBy("title")
        .orderBy("number")
        .limit(100)
        .offset(offset)
        .execute();
      for (const row of rows) {
        const stored = this.#read(row);
        if (stored) yield stored;
      }
      if (rows.length < 100) return;
    }
  }

  #read({ id, revision, doc, changed_at_ms }: SongRow): StoredSong | undefined {
    const song = this.#setAside.read(songKind, id, doc);
    return song && { id, revision, song, changedAtMs: changed_at_ms };
  }

  #line(row: SongRow): SongLine[] {
    const stored = this.#read(row);
    return stored ? [lineOf(stored)] : [];
  }
}

type SongRow = { id: string; revision: number; doc: string; changed_at_ms: number };

function lineOf({ id, song, changedAtMs }: StoredSong): SongLine {
  const { firstLine, writers } = readOf(song);
  return {
    id,
    title: titleOf(song),
    version: song.version,
    firstLine,
    writers,
    number: song.credits.number,
    changedAtMs,
  };
}

function readOf(song: SongFields) {
  const parsed = parseSong(song.text, song.title, { told: song.told });
  if ("problem" in parsed)
    return { title: song.title, firstLine: "", words: "", writers: song.credits.writers };
  const lines = parsed.song.sections.flatMap(({ stanzas }) => stanzas.flat());
  return {
    title: parsed.song.title,
    firstLine: lines[0] ?? "",
    words: lines.join(" "),
    writers: song.credits.writers || parsed.song.credits.writers,
  };
}

const titleOf = (song: SongFields) => song.title.trim() || readOf(song).title || t`Song without words`;

function indexedTexts(song: SongFields): string[] {
  const { title, firstLine, words, writers } = readOf(songFieldsOf(song));
  return [
    `${title} ${song.version}`,
    firstLine,
    `${words} ${song.second?.text ?? ""}`,
    writers,
    song.credits.number,
  ];
}
