import { type ReportRow, reportRows } from "../../core/report/reportRow.ts";
import { contentsIn, type LoggedEvent } from "../../core/show/events.ts";
import { contentsOf } from "../../core/show/state.ts";
import { log } from "../log/log.ts";
import type { AirLog } from "../store/airLog.ts";
import type { ContentStore } from "../store/contentStore.ts";
import { pinnedBy } from "../store/pinnedBy.ts";
import type { ShowHost } from "./showHost.ts";

const DAY_MS = 24 * 60 * 60 * 1_000;
const LONGEST_EVENING_MS = 7 * DAY_MS;
/** Looked at this often, while nothing is asked of the air. */
const EVERY_MS = 60 * 60 * 1_000;
const TRY_AGAIN_MS = 60_000;
const SWEEP_EVERY_MS = DAY_MS;
/** Done at once, so that no take waits for more. */
const BATCH = 40;
/** Snapshots kept: the newest, and one in case it cannot be read. */
const KEPT_SNAPSHOTS = 2;
/** What was stored since yesterday stays: something may just be about to refer to it. */
const YOUNG_MS = DAY_MS;

/** What the venue wants kept in full. */
export interface KeptInFull {
  readonly days: number;
  readonly mb: number;
}

export interface CompactionParts {
  readonly airLog: AirLog;
  readonly contents: ContentStore;
  readonly host: ShowHost;
  readonly kept: () => KeptInFull;
  readonly layerName: (id: string) => string;
  readonly outputName: (id: string) => string;
  readonly sourceName: (id: string) => string;
  /** Songs are reported for years: which were shown up to a time is kept. */
  readonly keepSongs: (untilMs: number) => Promise<void>;
  readonly now: () => number;
}

/** What was let go. */
export interface Compacted {
  readonly events: number;
  readonly snapshots: number;
  readonly contents: number;
}

/**
 * Lets go of what is old: events become rows of the report, then snapshots and contents that nothing needs any more leave.
 * Nothing of the current evening, and nothing that the air could be built from, goes.
 */
export class Compaction {
  readonly #parts: CompactionParts;
  readonly #timer: ReturnType<typeof setInterval>;
  #doneAtMs = Number.NEGATIVE_INFINITY;
  #sweptAtMs = Number.NEGATIVE_INFINITY;
  #isBusy = false;

  constructor(parts: CompactionParts) {
    this.#parts = parts;
    this.#timer = setInterval(() => {
      if (!this.#parts.host.isQuiet || this.#parts.now() - this.#doneAtMs < EVERY_MS) return;
      this.run().catch((error) => log.warn("What is old could not be let go", error));
    }, TRY_AGAIN_MS);
    this.#timer.unref();
  }

  close(): void {
    clearInterval(this.#timer);
  }

  async run(): Promise<Compacted> {
    if (this.#isBusy) return { events: 0, snapshots: 0, contents: 0 };
    this.#isBusy = true;
    try {
      const snapshots = await this.#parts.airLog.dropSnapshots(KEPT_SNAPSHOTS);
      const events = await this.#compactEvents();
      const isSweepDue = events + snapshots > 0 || this.#parts.now() - this.#sweptAtMs > SWEEP_EVERY_MS;
      const contents = isSweepDue ? await this.#sweepContents() : 0;
      this.#doneAtMs = this.#parts.now();
      if (events + snapshots + contents > 0)
        log.info(`Let go of ${events} old events, ${snapshots} snapshots and ${contents} contents`);
      return { events, snapshots, contents };
    } finally {
      this.#isBusy = false;
    }
  }

  /** Events that are too old, or too many, as rows of the report; oldest first. */
  async #compactEvents(): Promise<number> {
    const { airLog, kept, now } = this.#parts;
    const { days, mb } = kept();
    // No evening is longer than this, where nobody said that another begins.
    const longAgo = await airLog.lastBefore(now() - LONGEST_EVENING_MS);
    const ofBefore = Math.max(longAgo, (await airLog.lastBeginning(longAgo)) - 1);
    // The air is built from the oldest snapshot that is kept and what came after it.
    const mayGoUpTo = Math.min(await airLog.oldestSnapshot(), ofBefore);
    const tooOldUpTo = await airLog.lastBefore(now() - days * DAY_MS);
    const tooManyUpTo = await airLog.lastBeyond(mb * 1024 * 1024);
    const upTo = Math.min(mayGoUpTo, Math.max(tooOldUpTo, tooManyUpTo));
    let count = 0;
    for (;;) {
      const events = await airLog.first(BATCH, upTo);
      if (count === 0 && events.seqs.length > 0)
        await this.#parts.keepSongs((await airLog.timeAfter(upTo)) ?? now());
      if (events.seqs.length === 0) return count;
      const rows = await this.#rowsOf(events.logged);
      await this.#parts.host.alone(() => airLog.compact(events.seqs, rows));
      count += events.seqs.length;
    }
  }

  async #rowsOf(logged: readonly LoggedEvent[]): Promise<ReportRow[]> {
    const { contents, layerName, outputName, sourceName } = this.#parts;
    const known = await contents.read(logged.flatMap(({ event }) => contentsIn(event)));
    return reportRows(logged, {
      findContent: (hash) => {
        const found = known.get(hash);
        return found?.kind === "page" ? found : undefined;
      },
      layerName,
      outputName,
      sourceName,
    });
  }

  /** Contents that nothing refers to any more. */
  async #sweepContents(): Promise<number> {
    const { airLog, contents, host, now } = this.#parts;
    this.#sweptAtMs = now();
    const candidates = new Set(await contents.storedBefore(now() - YOUNG_MS));
    if (candidates.size === 0) return 0;
    const since = contents.watch();
    try {
      const needed = new Set<string>();
      const need = async (hashes: Iterable<string>) => {
        const fresh = [...hashes].filter((hash) => candidates.has(hash) && !needed.has(hash));
        for (const hash of fresh) needed.add(hash);
        // What a page wears goes with it.
        for (const document of (await contents.read(fresh)).values())
          for (const hash of pinnedBy(document)) needed.add(hash);
      };
      for await (const event of airLog.allEvents()) await need(contentsIn(event));
      for (const state of await airLog.snapshots()) await need(contentsOf(state));
      await need(contentsOf(host.state));
      const old = [...candidates].filter((hash) => !needed.has(hash));
      let count = 0;
      for (let at = 0; at < old.length; at += BATCH) {
        const batch = old.slice(at, at + BATCH);
        count += await host.alone(() => contents.drop(batch.filter((hash) => !since.referredTo(hash))));
      }
      return count;
    } finally {
      since.end();
    }
  }
}
