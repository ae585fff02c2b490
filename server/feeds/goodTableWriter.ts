import type { GoodTable } from "../../core/feeds/goodTable.ts";
import { log } from "../log/log.ts";
import { SerialQueue } from "../queue/serialQueue.ts";
import type { FeedStore } from "../store/feedStore.ts";

/** Good tables of feeds that change often are written down this often. */
const WRITE_EVERY_MS = 500;

/** Writes down the last good tables of feeds, a moment after they came and each once. */
export class GoodTableWriter {
  readonly #store: Pick<FeedStore, "saveGood">;
  /** What is to be written of a feed, as it is then; undefined: the feed is gone. */
  readonly #find: (id: string) => { readonly name: string; readonly good: GoodTable | null } | undefined;
  readonly #unwritten = new Set<string>();
  readonly #writes = new SerialQueue();
  #timer: ReturnType<typeof setTimeout> | undefined;
  #isClosed = false;

  constructor(
    store: Pick<FeedStore, "saveGood">,
    find: (id: string) => { readonly name: string; readonly good: GoodTable | null } | undefined,
  ) {
    this.#store = store;
    this.#find = find;
  }

  writeSoon(id: string): void {
    this.#unwritten.add(id);
    if (!this.#isClosed) this.#timer ??= setTimeout(() => void this.#write(), WRITE_EVERY_MS);
  }

  /** Writes what is left; what comes after is written no more. */
  async close(): Promise<void> {
    this.#isClosed = true;
    clearTimeout(this.#timer);
    await this.#write();
  }

  #write(): Promise<void> {
    this.#timer = undefined;
    return this.#writes.run(async () => {
      for (const id of [...this.#unwritten]) {
        this.#unwritten.delete(id);
        const feed = this.#find(id);
        if (!feed) continue;
        try {
          await this.#store.saveGood(id, feed.good);
        } catch (error) {
          log.warn(`The last table of the feed “${feed.name}” is not written down; it is tried again`, error);
          this.writeSoon(id);
        }
      }
    });
  }
}
