import { type Comment, type CommentSettings, commentSettingsSchema } from "../../core/comments/comment.ts";
import { commentKind } from "../../core/stored/kinds/comment.ts";
import { commentSettingsKind } from "../../core/stored/kinds/commentSettings.ts";
import { writeStored } from "../../core/stored/storedKind.ts";
import type { Db } from "./database.ts";
import { SetAside } from "./setAside.ts";

export interface StoredComment {
  readonly id: string;
  /** Server time at which it came, ms. */
  readonly atMs: number;
  readonly doc: Comment;
}

/** Comments as rows, in the order in which they came. */
export class CommentStore {
  readonly #db: Db;
  readonly #showId: string;
  readonly #setAside: SetAside;

  constructor(db: Db, showId: string, setAside = new SetAside()) {
    this.#db = db;
    this.#showId = showId;
    this.#setAside = setAside;
  }

  async settings(): Promise<CommentSettings> {
    const row = await this.#db
      .selectFrom("comment_settings")
      .select("doc")
      .where("show_id", "=", this.#showId)
      .executeTakeFirst();
    return (
      (row && this.#setAside.read(commentSettingsKind, this.#showId, row.doc)) ??
      commentSettingsSchema.parse({})
    );
  }

  async saveSettings(settings: CommentSettings): Promise<void> {
    const doc = writeStored(commentSettingsKind, settings);
    await this.#db
      .insertInto("comment_settings")
      .values({ show_id: this.#showId, doc })
      .onConflict((oc) => oc.column("show_id").doUpdateSet({ doc }))
      .execute();
  }

  async list(): Promise<StoredComment[]> {
    const rows = await this.#db
      .selectFrom("comment")
      .select(["id", "at_ms", "doc"])
      .where("show_id", "=", this.#showId)
      .orderBy("number")
      .execute();
    return rows.flatMap(({ id, at_ms: atMs, doc: stored }) => {
      const doc = this.#setAside.read(commentKind, id, stored);
      return doc ? [{ id, atMs, doc }] : [];
    });
  }

  /** Adds what came, and takes away what is too old, at once. */
  async add(comments: readonly StoredComment[], gone: readonly string[]): Promise<void> {
    await this.#db.transaction().execute(async (transaction) => {
      if (comments.length > 0)
        await transaction
          .insertInto("comment")
          .values(
            comments.map(({ id, atMs, doc }) => ({
              ...{ show_id: this.#showId, id, at_ms: Math.round(atMs), doc: writeStored(commentKind, doc) },
            })),
          )
          .onConflict((oc) => oc.columns(["show_id", "id"]).doNothing())
          .execute();
      if (gone.length > 0)
        await transaction
          .deleteFrom("comment")
          .where("show_id", "=", this.#showId)
          .where("id", "in", [...gone])
          .execute();
    });
  }

  async save({ id, doc }: StoredComment): Promise<void> {
    await this.#db
      .updateTable("comment")
      .set({ doc: writeStored(commentKind, doc) })
      .where("show_id", "=", this.#showId)
      .where("id", "=", id)
      .execute();
  }
}
