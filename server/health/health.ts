import { t } from "../../core/language/t.ts";
import type { HealthReport, SetAsideRow, StorageStatus } from "../../core/report/health.ts";
import type { SecondView } from "../../core/second/secondView.ts";
import type { ScreenHealth } from "../../core/wire/wire.ts";
import type { KeptJournal } from "../host/journal.ts";
import type { ShowKeeper } from "../store/showKeeper.ts";
import type { ShowClock } from "./showClock.ts";
import type { Stalls } from "./stalls.ts";

const MB = 1024 * 1024;

export interface HealthParts {
  readonly journal: KeptJournal;
  readonly keeper: ShowKeeper | undefined;
  readonly stalls: Stalls;
  readonly clock: ShowClock;
  readonly screens: () => readonly ScreenHealth[];
  readonly stillsWaiting: () => number;
  readonly setAside: () => readonly SetAsideRow[];
  readonly second: () => SecondView;
  readonly startedAtMs: number;
}

/** How the server itself does: read by the health page, by whatever watches the machine, and by every desk. */
export class Health {
  readonly #parts: HealthParts;

  constructor(parts: HealthParts) {
    this.#parts = parts;
  }

  /** The one thing that matters from outside: whether what is done is on the disk. */
  summary(): { readonly isWell: boolean } {
    return { isWell: this.#parts.journal.unwritten === null };
  }

  /** What every desk must know of the disk. */
  storage(): StorageStatus {
    const { journal, keeper } = this.#parts;
    const unwritten = journal.unwritten;
    if (unwritten)
      return {
        kind: "unwritten",
        events: unwritten.events,
        sentence: t`The disk is full or cannot be written. Takes, clear and black go on, but only in memory: edits cannot be saved, and a stop of the server now would lose the last takes. Make room; it is written by itself then.`,
      };
    const { room, freeBytes } = keeper?.status ?? { room: "enough", freeBytes: null };
    if (room === "none")
      return {
        kind: "noRoom",
        sentence: t`There are only ${Math.round((freeBytes ?? 0) / MB)} MB of room left on the disk of the show. Make room now: soon nothing can be saved.`,
      };
    if (room === "little")
      return {
        kind: "littleRoom",
        sentence: t`There are ${Math.round((freeBytes ?? 0) / MB)} MB of room left on the disk of the show. Make room before the evening.`,
      };
    return { kind: "well" };
  }

  /** Told when the disk does otherwise than before. */
  onStorage(listener: () => void): void {
    let told = "";
    const look = () => {
      const storage = JSON.stringify(this.storage());
      if (storage === told) return;
      told = storage;
      listener();
    };
    this.#parts.journal.onChange(look);
    this.#parts.keeper?.onChange(look);
  }

  /** Copies the show now. @returns whether it was done */
  async backUp(): Promise<boolean> {
    return (await this.#parts.keeper?.backUp()) ?? false;
  }

  /** All of it, for the health page. */
  report(): HealthReport {
    const { keeper, stalls, clock, screens, stillsWaiting, setAside, second, startedAtMs } = this.#parts;
    const { rss } = process.memoryUsage();
    return {
      storage: this.storage(),
      keeper: keeper?.status ?? null,
      stalls: { count: stalls.count, longestMs: stalls.longestMs },
      clockAheadMs: clock.aheadMs,
      windows: screens().map(({ outputId, windows }) => ({ outputId, windows: windows.length })),
      stillsWaiting: stillsWaiting(),
      second: second(),
      setAside: setAside(),
      memoryMb: Math.round(rss / MB),
      startedAtMs,
    };
  }
}
