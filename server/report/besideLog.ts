import { numberColumn } from "../../core/feeds/columnKinds/number.ts";
import { parseNumber } from "../../core/figures/number.ts";
import { oncePer } from "../../core/memo/oncePer.ts";
import type { Beside } from "../../core/report/beside.ts";
import { pageTable } from "../../core/values/liveChain.ts";
import type { ValueChange } from "../../core/values/values.ts";
import type { ScreenHealth } from "../../core/wire/wire.ts";
import { log } from "../log/log.ts";
import type { BesideStore } from "../store/besideStore.ts";

const WRITE_EVERY_MS = 2_000;
/** What comes faster than this is left out: the log of what went wrong must not be what goes wrong. */
const MOST_AT_ONCE = 200;
/** A screen says how it does about each second. */
const LATE_MS = 1_800;
const MINUTE_MS = 60_000;
const CLOSED_MS = 5 * MINUTE_MS;

export interface BesideLogParts {
  readonly store: Pick<BesideStore, "add" | "prune">;
  readonly screens: () => readonly ScreenHealth[];
  readonly outputName: (id: string) => string;
  /** The title of a page that feeds fill, by its table; undefined: it is not in the rundown. */
  readonly titleOfTable: (tableId: string) => string | undefined;
  readonly now: () => number;
}

/** Writes down, now and then and all at once, what nobody on the air has to wait for. */
export class BesideLog {
  readonly #parts: BesideLogParts;
  readonly #timer: ReturnType<typeof setInterval>;
  #waiting: Beside[] = [];
  /** Output → what was worst in this minute. */
  readonly #minute = new Map<string, { silentMs: number; missed: number }>();
  #minuteEndsMs: number;

  constructor(parts: BesideLogParts) {
    this.#parts = parts;
    this.#minuteEndsMs = parts.now() + MINUTE_MS;
    this.#timer = setInterval(() => void this.#work(), WRITE_EVERY_MS);
    this.add("began", "", null, "The server began.");
    parts.store
      .prune()
      .catch((error) => log.warn("What is old beside the log of the air could not be let go", error));
    this.#timer.unref();
  }

  /** Ends it; what is not written yet is written. */
  async close(): Promise<void> {
    clearInterval(this.#timer);
    this.#endMinute();
    await this.flush();
  }

  add(kind: Beside["kind"], about: string, amount: number | null, words: string): void {
    if (this.#waiting.length >= MOST_AT_ONCE) return;
    this.#waiting.push({ atMs: this.#parts.now(), kind, about, amount, words });
  }

  /** A screen has said how many frames it missed since it last said so. */
  painted(outputId: string, missed: number): void {
    if (missed > 0) this.#worst(outputId).missed += missed;
  }

  /** Numbers that fill pages from feeds. */
  values(changes: readonly ValueChange[]): void {
    for (const { tableId, cells } of changes)
      for (const [name, text] of Object.entries(cells)) {
        const amount = numberColumn.fits(text ?? "") ? parseNumber(text ?? "")?.value : undefined;
        const title = amount === undefined ? undefined : this.#parts.titleOfTable(tableId);
        if (amount !== undefined && title !== undefined) this.add("value", `${title} · ${name}`, amount, "");
      }
  }

  async flush(): Promise<void> {
    const rows = this.#waiting;
    if (rows.length === 0) return;
    this.#waiting = [];
    try {
      await this.#parts.store.add(rows);
    } catch (error) {
      log.warn("What went on beside the air could not be written down", error);
    }
  }

  #worst(outputId: string): { silentMs: number; missed: number } {
    const worst = this.#minute.get(outputId) ?? { silentMs: 0, missed: 0 };
    this.#minute.set(outputId, worst);
    return worst;
  }

  async #work(): Promise<void> {
    const nowMs = this.#parts.now();
    for (const { outputId, windows, lastHeardAtMs } of this.#parts.screens()) {
      // A window that nobody can see draws nothing, and may sleep.
      const heard = windows.flatMap(({ heardAtMs, painted }) => (painted?.isHidden ? [] : heardAtMs));
      const lost = windows.length === 0 && lastHeardAtMs !== null ? [lastHeardAtMs] : [];
      for (const heardAtMs of [...heard, ...lost]) {
        const silentMs = nowMs - heardAtMs;
        // One that was closed for good is not late all night.
        if (silentMs <= LATE_MS || silentMs > CLOSED_MS) continue;
        const worst = this.#worst(outputId);
        worst.silentMs = Math.max(worst.silentMs, silentMs);
      }
    }
    if (nowMs >= this.#minuteEndsMs) this.#endMinute();
    await this.flush();
  }

  #endMinute(): void {
    this.#minuteEndsMs = this.#parts.now() + MINUTE_MS;
    for (const [outputId, { silentMs, missed }] of this.#minute) {
      const name = this.#parts.outputName(outputId);
      if (silentMs > 0)
        this.add(
          "late",
          outputId,
          silentMs,
          `“${name}” was not heard for ${(silentMs / 1_000).toFixed(1)} s.`,
        );
      if (missed > 0) this.add("missed", outputId, missed, `“${name}” missed ${missed} frames in a minute.`);
    }
    this.#minute.clear();
  }
}

/** Titles of pages by the tables that fill them; made once for each rundown, for values come many times in a second. */
export const titlesByTable = oncePer(
  (
    cues: readonly {
      readonly cueId: string;
      readonly hash: string;
      readonly content: { readonly title: string };
    }[],
  ): ReadonlyMap<string, string> =>
    new Map(cues.map(({ cueId, hash, content }) => [pageTable({ cueId, content: hash }), content.title])),
);
