import { setImmediate as nextTurn } from "node:timers/promises";
import { sql } from "kysely";
import { t } from "../../core/language/t.ts";
import type { ReportRow } from "../../core/report/reportRow.ts";
import type { Mark } from "../../core/report/runs.ts";
import { actorSchema } from "../../core/show/actor.ts";
import type { AirEvent, LoggedEvent } from "../../core/show/events.ts";
import { evolve } from "../../core/show/evolve.ts";
import type { ShowState } from "../../core/show/state.ts";
import { airEventKind } from "../../core/stored/kinds/airEvent.ts";
import { reportRowKind } from "../../core/stored/kinds/reportRow.ts";
import { showStateKind } from "../../core/stored/kinds/showState.ts";
import { writeStored } from "../../core/stored/storedKind.ts";
import type { ContentStore } from "./contentStore.ts";
import type { Db } from "./database.ts";
import { SetAside } from "./setAside.ts";

/** A snapshot after so many events: a restart replays fewer than this. */
const SNAPSHOT_EVERY = 200;
/** Rows read before other work has its turn. */
const ROWS_AT_ONCE = 50;
const MARKS_AT_ONCE = 1_000;

/** The append-only log of the air. What `append` has returned from is on the disk. */
export class AirLog {
  readonly #db: Db;
  readonly #contents: ContentStore;
  readonly #showId: string;
  readonly #setAside: SetAside;

  constructor(db: Db, contents: ContentStore, showId: string, setAside = new SetAside()) {
    this.#setAside = setAside;
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
            event: writeStored(airEventKind, event),
          })),
        )
        .execute();
      if (events.some(({ seq }) => seq % SNAPSHOT_EVERY === 0))
        await transaction
          .insertInto("air_snapshot")
          .values({
            show_id: this.#showId,
            seq: after.seq,
            state: writeStored(showStateKind, after),
          })
          .onConflict((oc) => oc.doNothing())
          .execute();
    });
    this.#contents.markStored(documents.map(({ hash }) => hash));
  }

  /**
   * The state from the newest snapshot that can be read, and the events after it; undefined for a show that was never opened.
   * An event that cannot be read is left out: what it did is not done.
   * @param opening stands in for a first event that cannot be read
   */
  async restore(opening: AirEvent): Promise<ShowState | undefined> {
    let state = await this.#newestSnapshot();
    for (const row of await this.#events()
      .where("seq", ">", state?.seq ?? 0)
      .orderBy("seq")
      .execute()) {
      const logged = this.#read(row);
      const first = state ? undefined : { ...loggedAt(row), event: opening };
      try {
        if (logged) state = evolve(state, logged);
        else if (first) state = evolve(undefined, first);
      } catch (error) {
        this.#setAside.leaveOut(t`event of the air`, String(row.seq), row.event, String(error));
      }
      if (state) state = { ...state, seq: row.seq };
    }
    return state;
  }

  async #newestSnapshot(): Promise<ShowState | undefined> {
    const snapshots = this.#snapshots();
    for (const { seq } of await snapshots.select("seq").orderBy("seq", "desc").execute()) {
      const { state } = await snapshots.select("state").where("seq", "=", seq).executeTakeFirstOrThrow();
      const read = this.#setAside.read(showStateKind, String(seq), state);
      if (read) return read;
    }
    return undefined;
  }

  /** When the last event was written; undefined before the first. */
  async lastAtMs(): Promise<number | undefined> {
    const row = await this.#events().orderBy("seq", "desc").limit(1).executeTakeFirst();
    return row?.at_ms;
  }

  async eventsAfter(seq: number): Promise<LoggedEvent[]> {
    const rows = await this.#events().where("seq", ">", seq).orderBy("seq").execute();
    return rows.flatMap((row) => this.#read(row) ?? []);
  }

  /** Events of a stretch of time, in order, a few at a time: other work comes in between. */
  async *between(fromMs: number, untilMs: number): AsyncGenerator<LoggedEvent> {
    for (let after = await this.lastBefore(fromMs); ; ) {
      const rows = await this.#events()
        .where("seq", ">", after)
        .where("at_ms", "<=", Math.ceil(untilMs))
        .orderBy("seq")
        .limit(ROWS_AT_ONCE)
        .execute();
      for (const row of rows) {
        const logged = this.#read(row);
        if (logged) yield logged;
      }
      const last = rows.at(-1);
      if (!last) return;
      after = last.seq;
      await nextTurn();
    }
  }

  /** When every event that is still there was, and of which kind it is. */
  async marks(): Promise<Mark[]> {
    const marks: Mark[] = [];
    for (let after = 0; ; ) {
      const rows = await this.#db
        .selectFrom("air_event")
        .select(["seq", "at_ms", sql<AirEvent["kind"]>`event ->> 'kind'`.as("kind")])
        .where("show_id", "=", this.#showId)
        .where("seq", ">", after)
        .orderBy("seq")
        .limit(MARKS_AT_ONCE)
        .execute();
      for (const { at_ms, kind } of rows) marks.push({ atMs: at_ms, kind });
      const last = rows.at(-1);
      if (!last) return marks;
      after = last.seq;
      await nextTurn();
    }
  }

  /** The latest so many events, in order. */
  async latest(count: number): Promise<LoggedEvent[]> {
    const rows = await this.#events().orderBy("seq", "desc").limit(count).execute();
    return rows.reverse().flatMap((row) => this.#read(row) ?? []);
  }

  /** Rows of the report: what is kept of events that are let go. The latest so many, in order. */
  async latestRows(count: number): Promise<ReportRow[]> {
    const rows = await this.#db
      .selectFrom("report_row")
      .selectAll()
      .where("show_id", "=", this.#showId)
      .orderBy("seq", "desc")
      .limit(count)
      .execute();
    return rows
      .reverse()
      .flatMap(({ seq, doc }) => this.#setAside.read(reportRowKind, t`row ${seq}`, doc) ?? []);
  }

  /** Seq of the oldest snapshot; 0 when there is none. */
  async oldestSnapshot(): Promise<number> {
    const row = await this.#snapshots().select("seq").orderBy("seq").limit(1).executeTakeFirst();
    return row?.seq ?? 0;
  }

  /** The states that were written down, the newest first; those that cannot be read are left out. */
  async snapshots(): Promise<ShowState[]> {
    const rows = await this.#snapshots().select(["seq", "state"]).orderBy("seq", "desc").execute();
    return rows.flatMap(({ seq, state }) => this.#setAside.read(showStateKind, String(seq), state) ?? []);
  }

  /** Drops snapshots but the newest so many. @returns how many went */
  async dropSnapshots(kept: number): Promise<number> {
    const newest = this.#snapshots().select("seq").orderBy("seq", "desc").limit(kept);
    const { numDeletedRows } = await this.#db
      .deleteFrom("air_snapshot")
      .where("show_id", "=", this.#showId)
      .where("seq", "not in", newest)
      .executeTakeFirst();
    return Number(numDeletedRows);
  }

  /** Seq of the event with which the current evening began, as far back as a seq; 0 when it is not among those. */
  async lastBeginning(notBefore: number): Promise<number> {
    for await (const { seq, event } of this.#backwards(notBefore))
      if (event.includes('"kind":"begunAnew"')) return seq;
    return 0;
  }

  /** Seq of the last event before a time; 0 when there is none. */
  async lastBefore(atMs: number): Promise<number> {
    const row = await this.#events()
      .where("at_ms", "<", Math.round(atMs))
      .orderBy("seq", "desc")
      .limit(1)
      .executeTakeFirst();
    return row?.seq ?? 0;
  }

  /** Seq of the newest event that is too many: it and those after it are together larger than so many bytes; 0 when none is. */
  async lastBeyond(bytes: number): Promise<number> {
    let size = 0;
    for await (const { seq, event } of this.#backwards(0)) {
      size += event.length;
      if (size > bytes) return seq;
    }
    return 0;
  }

  /** When the first event after a seq came; undefined: there is none. */
  async timeAfter(seq: number): Promise<number | undefined> {
    const row = await this.#events().where("seq", ">", seq).orderBy("seq").limit(1).executeTakeFirst();
    return row?.at_ms;
  }

  /** The oldest events up to a seq, those that cannot be read among the numbers only. */
  async first(
    count: number,
    upTo: number,
  ): Promise<{ readonly seqs: readonly number[]; readonly logged: readonly LoggedEvent[] }> {
    const rows = await this.#events().where("seq", "<=", upTo).orderBy("seq").limit(count).execute();
    return { seqs: rows.map(({ seq }) => seq), logged: rows.flatMap((row) => this.#read(row) ?? []) };
  }

  /** Puts rows of the report in the place of events, in one transaction. */
  async compact(seqs: readonly number[], rows: readonly ReportRow[]): Promise<void> {
    await this.#db.transaction().execute(async (transaction) => {
      for (const row of rows)
        await transaction
          .insertInto("report_row")
          .values({ show_id: this.#showId, seq: row.seq, doc: writeStored(reportRowKind, row) })
          .onConflict((oc) => oc.doNothing())
          .execute();
      await transaction
        .deleteFrom("air_event")
        .where("show_id", "=", this.#showId)
        .where("seq", "in", [...seqs])
        .execute();
    });
  }

  /** Every event that is still there, the newest first. */
  async *allEvents(): AsyncGenerator<AirEvent> {
    for await (const row of this.#backwards(0)) {
      const logged = this.#read(row);
      if (logged) yield logged.event;
    }
  }

  /** The newest first, a few at a time: other work comes in between. */
  async *#backwards(after: number): AsyncGenerator<Row> {
    for (let before = Number.MAX_SAFE_INTEGER; ; ) {
      const rows = await this.#events()
        .where("seq", "<", before)
        .where("seq", ">", after)
        .orderBy("seq", "desc")
        .limit(ROWS_AT_ONCE)
        .execute();
      yield* rows;
      const last = rows.at(-1);
      if (!last) return;
      before = last.seq;
      await nextTurn();
    }
  }

  #snapshots() {
    return this.#db.selectFrom("air_snapshot").where("show_id", "=", this.#showId);
  }

  #read(row: Row): LoggedEvent | undefined {
    const event = this.#setAside.read(airEventKind, String(row.seq), row.event);
    return event && { ...loggedAt(row), event };
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

function loggedAt({ seq, at_ms, act_id, actor }: Row): Omit<LoggedEvent, "event"> {
  const who = actor === null ? undefined : actorSchema.safeParse(JSON.parse(actor));
  return { seq, atMs: at_ms, actor: who?.data ?? null, actId: act_id };
}
