import type { LoggedEvent } from "../../core/show/events.ts";
import type { ShowState } from "../../core/show/state.ts";
import { log } from "../log/log.ts";
import type { AirLog } from "../store/airLog.ts";
import { isStorageTrouble } from "../store/storageTrouble.ts";

/** Where events are written down before they are told. */
export type Journal = Pick<AirLog, "append">;

const TRY_AGAIN_MS = 1_000;
/** Another program has the database for a moment. */
const BUSY_TRY_AGAIN_MS = 25;

/** What of the air is only in memory. */
export interface Unwritten {
  readonly events: number;
  /** Server time since when. */
  readonly sinceMs: number;
}

/**
 * Writes the air down, and goes on in memory while the disk cannot be written: takes, clears and black are the show. What is not
 * written yet is written in order, all of it together, as soon as that works.
 */
export class KeptJournal implements Journal {
  readonly #log: Journal;
  readonly #now: () => number;
  readonly #listeners = new Set<(unwritten: Unwritten | null) => void>();
  #waiting: LoggedEvent[] = [];
  #refersTo = new Set<string>();
  #after: ShowState | undefined;
  #sinceMs = 0;
  #timer: ReturnType<typeof setTimeout> | undefined;
  #isWriting = false;
  #isClosed = false;

  constructor(log: Journal, now: () => number) {
    this.#log = log;
    this.#now = now;
  }

  get unwritten(): Unwritten | null {
    return this.#waiting.length > 0 ? { events: this.#waiting.length, sinceMs: this.#sinceMs } : null;
  }

  onChange(listener: (unwritten: Unwritten | null) => void): void {
    this.#listeners.add(listener);
  }

  /** @throws only for what is not the disk's fault; then nothing was written, and the air must not move */
  async append(events: readonly LoggedEvent[], refersTo: Iterable<string>, after: ShowState): Promise<void> {
    const wanted = [...refersTo];
    if (this.#waiting.length === 0) {
      try {
        await this.#log.append(events, wanted, after);
        return;
      } catch (error) {
        if (!isStorageTrouble(error)) throw error;
        log.error("The air cannot be written to the disk; it goes on in memory", error);
        this.#sinceMs = this.#now();
        this.#tryAgain(error);
      }
    }
    this.#waiting.push(...events);
    for (const hash of wanted) this.#refersTo.add(hash);
    this.#after = after;
    this.#tell();
  }

  /** Tries to write what is waiting. @returns whether nothing is waiting any more */
  async flush(): Promise<boolean> {
    if (this.#waiting.length === 0) return true;
    if (this.#isWriting || !this.#after) return false;
    this.#isWriting = true;
    const events = [...this.#waiting];
    const refersTo = [...this.#refersTo];
    try {
      await this.#log.append(events, refersTo, this.#after);
    } catch (error) {
      this.#tryAgain(error);
      return false;
    } finally {
      this.#isWriting = false;
    }
    this.#waiting = this.#waiting.slice(events.length);
    if (this.#waiting.length > 0) return this.flush();
    this.#refersTo = new Set();
    log.info(`The air is on the disk again, with ${events.length} events that had waited`);
    this.#tell();
    return true;
  }

  close(): void {
    this.#isClosed = true;
    clearTimeout(this.#timer);
  }

  #tryAgain(error: unknown): void {
    clearTimeout(this.#timer);
    if (this.#isClosed) return;
    const isBusy = error instanceof Error && "code" in error && String(error.code).startsWith("SQLITE_BUSY");
    const isLong = this.#now() - this.#sinceMs > TRY_AGAIN_MS;
    this.#timer = setTimeout(() => void this.flush(), isBusy && !isLong ? BUSY_TRY_AGAIN_MS : TRY_AGAIN_MS);
    this.#timer.unref();
  }

  #tell(): void {
    for (const listener of this.#listeners) listener(this.unwritten);
  }
}
