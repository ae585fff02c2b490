import { t } from "../../core/language/t.ts";
import type { Actor } from "../../core/show/actor.ts";
import {
  type Cells,
  evolveValues,
  joinChanges,
  type LiveValues,
  type ValueChange,
} from "../../core/values/values.ts";
import { log } from "../log/log.ts";
import { SerialQueue } from "../queue/serialQueue.ts";
import type { ValueLog } from "../store/valueLog.ts";

/** Changes are told together this often: as often as a screen shows a frame. */
const TELL_EVERY_MS = 40;
const AHEAD_MS = 20;
/** What was said is on the disk within a second of it: this, and the write itself. */
const WRITE_WITHIN_MS = 500;
const TRY_AGAIN_MS = 1_000;
/** Every page that is filled from feeds has one. */
const MOST_TABLES = 1_000;
const MOST_CELLS = 2_000;

/**
 * Values that change often: told at once, written down together a moment later. They have no part in the queue of the air, so
 * that no take waits for them; what was said in the last second before a crash may be lost, and is said again by its feed.
 */
export class ValueHost {
  readonly #log: Pick<ValueLog, "append">;
  readonly #now: () => number;
  #values: LiveValues;
  #untold: ValueChange[] = [];
  #unwritten: ValueChange[] = [];
  #tellTimer: ReturnType<typeof setTimeout> | undefined;
  #writeTimer: ReturnType<typeof setTimeout> | undefined;
  #isClosed = false;
  readonly #writes = new SerialQueue();
  readonly #listeners = new Set<(changes: readonly ValueChange[]) => void>();

  constructor(values: LiveValues, valueLog: Pick<ValueLog, "append">, now: () => number) {
    this.#values = values;
    this.#log = valueLog;
    this.#now = now;
  }

  get values(): LiveValues {
    return this.#values;
  }

  onChange(listener: (changes: readonly ValueChange[]) => void): void {
    this.#listeners.add(listener);
  }

  /** @returns a sentence when there is no room for them; nothing was changed then */
  set(tableId: string, cells: Cells, actor: Actor): string | undefined {
    // What comes while the server ends is said again by its feed at the next start.
    if (this.#isClosed) return undefined;
    const { tables } = this.#values;
    const isNew = !(tableId in tables);
    const count = new Set([...Object.keys(tables[tableId] ?? {}), ...Object.keys(cells)]).size;
    if ((isNew && Object.keys(tables).length >= MOST_TABLES) || count > MOST_CELLS)
      return t`There can be ${MOST_TABLES} tables with ${MOST_CELLS} cells each. Nothing was changed; take some away first.`;
    const change: ValueChange = { seq: this.#values.seq + 1, atMs: this.#now(), actor, tableId, cells };
    this.#values = evolveValues(this.#values, change);
    this.#untold.push(change);
    this.#unwritten.push(change);
    this.#tellTimer ??= setTimeout(() => this.#tell(), TELL_EVERY_MS);
    this.#writeTimer ??= setTimeout(() => void this.flush(), WRITE_WITHIN_MS);
    return undefined;
  }

  /** Takes a whole table away: nothing shows it any more. */
  drop(tableId: string): void {
    const cells = Object.fromEntries(
      Object.keys(this.#values.tables[tableId] ?? {}).map((name) => [name, null]),
    );
    this.set(tableId, cells, { kind: "timer" });
  }

  /** Tells what is untold without waiting: something that shows it is told next. */
  tellNow(): void {
    if (this.#tellTimer === undefined) return;
    clearTimeout(this.#tellTimer);
    this.#tell();
  }

  /** Writes what is not written. */
  flush(): Promise<void> {
    clearTimeout(this.#writeTimer);
    this.#writeTimer = undefined;
    return this.#writes.run(() => this.#write());
  }

  async close(): Promise<void> {
    this.#isClosed = true;
    clearTimeout(this.#tellTimer);
    await this.flush();
    clearTimeout(this.#writeTimer);
  }

  async #write(): Promise<void> {
    if (this.#unwritten.length === 0) return;
    const changes = joinChanges(this.#unwritten);
    this.#unwritten = [];
    try {
      await this.#log.append(changes, this.#values);
    } catch (error) {
      log.warn("Values could not be written down; they are tried again", error);
      this.#unwritten = [...changes, ...this.#unwritten];
      if (!this.#isClosed) this.#writeTimer ??= setTimeout(() => void this.flush(), TRY_AGAIN_MS);
    }
  }

  #tell(): void {
    this.#tellTimer = undefined;
    // What shows them begins its motion a little after it has heard.
    const atMs = this.#now() + AHEAD_MS;
    const changes = joinChanges(this.#untold).map((change) => ({ ...change, atMs }));
    this.#untold = [];
    for (const listener of this.#listeners) listener(changes);
  }
}
