import type { FeedDoc } from "../../core/feeds/feed.ts";
import type { GoodTable } from "../../core/feeds/goodTable.ts";
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
