import type { Db } from "./database.ts";

/** Steps that one evening keeps ticks of. */
const MOST_SEEN = 20_000;

/** Which steps of an evening people have looked at on all screens. A step that is made otherwise has another key. */
export class SeenStore {
  readonly #db: Db;

  constructor(db: Db) {
    this.#db = db;
  }

  async keysOf(eveningId: string): Promise<string[]> {
    const rows = await this.#db
      .selectFrom("seen_step")
      .select("step_key")
      .where("evening_id", "=", eveningId)
      .orderBy("step_key")
      .execute();
    return rows.map(({ step_key }) => step_key);
  }

  /** Ticks steps, or takes their ticks away. */
  async set(
    eveningId: string,
    keys: readonly string[],
    isSeen: boolean,
    { atMs, by }: { readonly atMs: number; readonly by: string },
  ): Promise<void> {
    if (!isSeen) {
      await this.#db
        .deleteFrom("seen_step")
        .where("evening_id", "=", eveningId)
        .where("step_key", "in", keys)
        .execute();
      return;
    }
    const { count } = await this.#db
      .selectFrom("seen_step")
      .select(({ fn }) => fn.countAll<number>().as("count"))
      .where("evening_id", "=", eveningId)
      .executeTakeFirstOrThrow();
    // Ticks of steps as they were before are of no use: they make room.
    if (Number(count) + keys.length > MOST_SEEN)
      await this.#db.deleteFrom("seen_step").where("evening_id", "=", eveningId).execute();
    await this.#db
      .insertInto("seen_step")
      .values(
        keys.map((key) => ({
          ...{ evening_id: eveningId, step_key: key },
          ...{ seen_at_ms: Math.round(atMs), seen_by: by },
        })),
      )
      .onConflict((conflict) => conflict.doNothing())
      .execute();
  }
}
