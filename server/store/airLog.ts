import { actorSchema } from "../../core/show/actor.ts";
import { airEventSchema, type LoggedEvent } from "../../core/show/events.ts";
import { evolve } from "../../core/show/evolve.ts";
import { type ShowState, showStateSchema } from "../../core/show/state.ts";
import type { ContentStore } from "./contentStore.ts";
import type { Db } from "./database.ts";

/** A snapshot after so many events: a restart replays fewer than this. */
const SNAPSHOT_EVERY = 200;

/** The append-only log of the air. What `append` has returned from is on the disk. */
export class AirLog {
  readonly #db: Db;
  readonly #contents: ContentStore;
  readonly #showId: string;

  constructor(db: Db, contents: ContentStore, showId: string) {
    this.#db = db;
    this.#contents = contents;
    this.#showId = showId;
  }

  /** Writes events and the documents they refer to in one transaction. */
  async append(events: readonly LoggedEvent[], refersTo: Iterable<string>, after: ShowState): Promise<void> {
    const documents = this.#contents.unstored(refersTo);
    await this.#db.transaction().execute(async (transaction) => {
      if (documents.length > 0)
        await transaction
          .insertInto("content")
          .values(documents)
          .onConflict((oc) => oc.doNothing())
          .execute();
      await transaction
        .insertInto("air_event")
        .values(
          events.map(({ seq, atMs, actor, actId, event }) => ({
            show_id: this.#showId,
            seq,
            at_ms: Math.round(atMs),
            actor: actor && JSON.stringify(actor),
            act_id: actId,
            // What cannot be read back is never written.
            event: JSON.stringify(airEventSchema.parse(event)),
          })),
        )
        .execute();
      if (events.some(({ seq }) => seq % SNAPSHOT_EVERY === 0))
        await transaction
          .insertInto("air_snapshot")
          .values({
            show_id: this.#showId,
            seq: after.seq,
            state: JSON.stringify(showStateSchema.parse(after)),
          })
          .onConflict((oc) => oc.doNothing())
          .execute();
    });
    this.#contents.markStored(documents.map(({ hash }) => hash));
  }

  /** The state from the newest snapshot and the events after it; undefined for a show that was never opened. */
  async restore(): Promise<ShowState | undefined> {
    const snapshot = await this.#db
      .selectFrom("air_snapshot")
      .selectAll()
      .where("show_id", "=", this.#showId)
      .orderBy("seq", "desc")
      .limit(1)
      .executeTakeFirst();
    let state = snapshot && showStateSchema.parse(JSON.parse(snapshot.state));
    for (const logged of await this.eventsAfter(state?.seq ?? 0)) state = evolve(state, logged);
    return state;
  }

  /** When the last event was written; undefined before the first. */
  async lastAtMs(): Promise<number | undefined> {
    const row = await this.#events().orderBy("seq", "desc").limit(1).executeTakeFirst();
    return row?.at_ms;
  }

  async eventsAfter(seq: number): Promise<LoggedEvent[]> {
    const rows = await this.#events().where("seq", ">", seq).orderBy("seq").execute();
    return rows.map(readRow);
  }

  /** The latest so many events, in order. */
  async latest(count: number): Promise<LoggedEvent[]> {
    const rows = await this.#events().orderBy("seq", "desc").limit(count).execute();
    return rows.reverse().map(readRow);
  }

  #events() {
    return this.#db.selectFrom("air_event").selectAll().where("show_id", "=", this.#showId);
  }
}

interface Row {
  seq: number;
  at_ms: number;
  actor: string | null;
  act_id: string | null;
  event: string;
}

function readRow(row: Row): LoggedEvent {
  return {
    seq: row.seq,
    atMs: row.at_ms,
    actor: row.actor === null ? null : actorSchema.parse(JSON.parse(row.actor)),
    actId: row.act_id,
    event: airEventSchema.parse(JSON.parse(row.event)),
  };
}
