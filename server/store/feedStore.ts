import type { FeedDoc } from "../../core/feeds/feed.ts";
import type { GoodTable } from "../../core/feeds/goodTable.ts";
import type { TableChange } from "../../core/feeds/tableChange.ts";
import { feedKind } from "../../core/stored/kinds/feed.ts";
import { goodTableKind } from "../../core/stored/kinds/goodTable.ts";
import { writeStored } from "../../core/stored/storedKind.ts";
import type { Db } from "./database.ts";
import { SetAside } from "./setAside.ts";

export interface StoredFeed {
  readonly id: string;
  readonly revision: number;
  readonly doc: FeedDoc;
  readonly good: GoodTable | null;
}

interface SavedTable {
  readonly revision: number;
  readonly doc: FeedDoc;
  readonly good: GoodTable;
}

/** So many changes of a table are remembered. */
const MOST_CHANGES = 2_000;

/** Feeds as rows: what they are, the file that was brought, the last good table. */
export class FeedStore {
  readonly #db: Db;
  readonly #showId: string;
  readonly #setAside: SetAside;

  constructor(db: Db, showId: string, setAside = new SetAside()) {
    this.#db = db;
    this.#showId = showId;
    this.#setAside = setAside;
  }

  async list(): Promise<StoredFeed[]> {
    const rows = await this.#db
      .selectFrom("feed")
      .select(["id", "revision", "doc", "good"])
      .where("show_id", "=", this.#showId)
      .orderBy("id")
      .execute();
    return rows.flatMap(({ id, revision, doc, good }) => {
      const read = this.#setAside.read(feedKind, id, doc);
      if (!read) return [];
      const table = good === null ? null : (this.#setAside.read(goodTableKind, id, good) ?? null);
      return [{ id, revision, doc: read, good: table }];
    });
  }

  async save(id: string, revision: number, doc: FeedDoc): Promise<void> {
    const stored = writeStored(feedKind, doc);
    await this.#db
      .insertInto("feed")
      .values({ id, show_id: this.#showId, revision, doc: stored })
      .onConflict((oc) => oc.columns(["show_id", "id"]).doUpdateSet({ revision, doc: stored }))
      .execute();
  }

  async remove(id: string): Promise<void> {
    await this.#db.deleteFrom("feed").where("show_id", "=", this.#showId).where("id", "=", id).execute();
  }

  async saveGood(id: string, good: GoodTable | null): Promise<void> {
    await this.#db
      .updateTable("feed")
      .set({ good: good && writeStored(goodTableKind, good) })
      .where("show_id", "=", this.#showId)
      .where("id", "=", id)
      .execute();
  }

  /** A table that is edited here, with what was done to it. It is on the disk when this returns. */
  async saveTable(id: string, { revision, doc, good }: SavedTable, change?: TableChange): Promise<void> {
    const stored = { revision, doc: writeStored(feedKind, doc), good: writeStored(goodTableKind, good) };
    await this.#db.transaction().execute(async (transaction) => {
      await transaction
        .updateTable("feed")
        .set(stored)
        .where("show_id", "=", this.#showId)
        .where("id", "=", id)
        .execute();
      if (!change) return;
      await transaction
        .insertInto("table_change")
        .values({
          ...{ show_id: this.#showId, id: change.id, feed_id: id },
          ...{ at_ms: Math.round(change.atMs), by: change.by, what: change.what },
        })
        .execute();
      // What nobody looks at any more goes with what comes.
      const oldest = transaction
        .selectFrom("table_change")
        .select("number")
        .where("show_id", "=", this.#showId)
        .where("feed_id", "=", id)
        .orderBy("number", "desc")
        .limit(1)
        .offset(MOST_CHANGES);
      await transaction
        .deleteFrom("table_change")
        .where("show_id", "=", this.#showId)
        .where("feed_id", "=", id)
        .where("number", "<=", oldest)
        .execute();
    });
  }

  /** Whether something was done under this id already. */
  async hasChange(id: string): Promise<boolean> {
    const row = await this.#db
      .selectFrom("table_change")
      .select("number")
      .where("show_id", "=", this.#showId)
      .where("id", "=", id)
      .executeTakeFirst();
    return row !== undefined;
  }

  /** What was done to a table, the newest first. */
  async changesOf(feedId: string, most: number): Promise<TableChange[]> {
    const rows = await this.#db
      .selectFrom("table_change")
      .selectAll()
      .where("show_id", "=", this.#showId)
      .where("feed_id", "=", feedId)
      .orderBy("number", "desc")
      .limit(most)
      .execute();
    return rows.map(({ id, at_ms: atMs, by, what }) => ({ id, atMs, by, what }));
  }

  /** What was done to any table, in order; the newest of it. */
  async latestChanges(
    most: number,
  ): Promise<(TableChange & { readonly number: number; readonly feedId: string })[]> {
    const rows = await this.#db
      .selectFrom("table_change")
      .selectAll()
      .where("show_id", "=", this.#showId)
      .orderBy("number", "desc")
      .limit(most)
      .execute();
    return rows.reverse().map(({ number, feed_id: feedId, id, at_ms: atMs, by, what }) => ({
      number,
      feedId,
      id,
      atMs,
      by,
      what,
    }));
  }

  async saveFile(id: string, bytes: Uint8Array): Promise<void> {
    await this.#db
      .updateTable("feed")
      .set({ file: Buffer.from(bytes) })
      .where("show_id", "=", this.#showId)
      .where("id", "=", id)
      .execute();
  }

  async findFile(id: string): Promise<Uint8Array | undefined> {
    const row = await this.#db
      .selectFrom("feed")
      .select("file")
      .where("show_id", "=", this.#showId)
      .where("id", "=", id)
      .executeTakeFirst();
    return row?.file ?? undefined;
  }
}
