import { createHash } from "node:crypto";
import { isDeepStrictEqual } from "node:util";
import { acceptTable } from "../../core/feeds/acceptTable.ts";
import { kindsFound } from "../../core/feeds/columnKinds.ts";
import type { FeedDoc } from "../../core/feeds/feed.ts";
import { type FeedFault, faultSentence, wholeFault } from "../../core/feeds/feedFault.ts";
import type { FeedView } from "../../core/feeds/feedView.ts";
import type { GoodTable } from "../../core/feeds/goodTable.ts";
import type { FeedTable } from "../../core/feeds/resolveBinding.ts";
import type { Table } from "../../core/feeds/table.ts";
import { languageCode, t } from "../../core/language/t.ts";
import { log } from "../log/log.ts";
import type { FeedStore, StoredFeed } from "../store/feedStore.ts";
import { askAddress, isAllowed, NO_MARKS } from "./askAddress.ts";
import { GoodTableWriter } from "./goodTableWriter.ts";
import { type HeldTo, pictureTable, type ReadFeedParts, readFeed } from "./readFeed.ts";
import { newFeed, type RunningFeed, viewOf } from "./runningFeed.ts";
import type { WatchedFolder } from "./watchedFolder.ts";

/** What is broken for less than this was only being written. */
const BROKEN_FOR_MS = 400;
const LOOK_AT_AGE_MS = 1_000;
const TELL_CHECKED_EVERY_MS = 5_000;
const NEWS_EVERY_MS = 60_000;
const REMEMBERED_CHANGES = 10;
const MOST_FEEDS = 100;
/** Pictures stay in the library's folder: one that changes all the time must not fill the disk. */
const PICTURE_EVERY_MS = 2_000;

export interface FeedHostParts extends ReadFeedParts {
  readonly store: FeedStore;
  /** Undefined where the server was started without one. */
  readonly folder: WatchedFolder | undefined;
  /** Hosts whose addresses may be asked. */
  readonly hosts: readonly string[];
  readonly now: () => number;
  /** What is on now and what comes next, as a table whose first column names its rows. */
  readonly running: () => Table;
}

/** What a table that is edited here begins with. */
const FIRST_TABLE: Table = { columns: ["name", "number"], rows: [] };
const goodOf = (table: Table, atMs: number): GoodTable => ({
  ...{ table, kinds: kindsFound(table), atMs, endsWithLine: false },
});

/** A table that is edited here, as it is. */
export interface EditedTable {
  readonly revision: number;
  readonly doc: FeedDoc;
  readonly good: GoodTable;
}

const OTHERWISE = t`This feed was changed on another desk. Nothing was saved here; look at it as it is now.`;

/** What is done to a feed of the same source: it is read otherwise, is allowed otherwise, or neither. */
function heldToAfter(before: FeedDoc, now: FeedDoc): HeldTo | undefined {
  // Read otherwise on purpose it has other columns, and is as a person finds it then.
  if (!isDeepStrictEqual(before.format, now.format)) return "asItIs";
  const allowed = ({ rules, keyColumn, mostRows }: FeedDoc) => [rules, keyColumn, mostRows];
  return isDeepStrictEqual(allowed(before), allowed(now)) ? undefined : "before";
}

/** Feeds as they run: they are watched and asked, read aside, and have a last good table that nothing broken takes the place of. */
export class FeedHost {
  readonly #parts: FeedHostParts;
  readonly #feeds = new Map<string, RunningFeed>();
  readonly #listeners = new Set<(id: string) => void>();
  readonly #newsListeners = new Set<(sentence: string) => void>();
  readonly #writer: GoodTableWriter;
  readonly #ageTimer: ReturnType<typeof setInterval>;
  #isClosed = false;

  private constructor(parts: FeedHostParts, stored: readonly StoredFeed[]) {
    this.#parts = parts;
    this.#writer = new GoodTableWriter(parts.store, (id) => {
      const feed = this.#feeds.get(id);
      return feed && { name: feed.doc.name, good: feed.good };
    });
    for (const { id, revision, doc, good } of stored) this.#feeds.set(id, newFeed(id, revision, doc, good));
    parts.folder?.onChange((path) => {
      for (const feed of this.#feeds.values())
        if (feed.doc.source.kind === "watched" && isAt(path, feed.doc.source.path))
          void this.#readWatched(feed);
    });
    this.#ageTimer = setInterval(() => this.#lookAtAges(), LOOK_AT_AGE_MS);
  }

  static async open(parts: FeedHostParts): Promise<FeedHost> {
    const host = new FeedHost(parts, await parts.store.list());
    for (const feed of host.#feeds.values()) host.#start(feed);
    return host;
  }

  /** Told of a feed that is new, gone, other, or has other rows or troubles. */
  onChange(listener: (id: string) => void): void {
    this.#listeners.add(listener);
  }

  /** Told what every desk has to know. */
  onNews(listener: (sentence: string) => void): void {
    this.#newsListeners.add(listener);
  }

  get allowedHosts(): readonly string[] {
    return this.#parts.hosts;
  }

  get hasFolder(): boolean {
    return this.#parts.folder !== undefined;
  }

  listFiles(): Promise<string[]> {
    return this.#parts.folder?.list() ?? Promise.resolve([]);
  }

  views(): FeedView[] {
    return [...this.#feeds.values()]
      .map(viewOf)
      .sort((a, b) => a.doc.name.localeCompare(b.doc.name, languageCode()));
  }

  /** What bindings take their values from; undefined for a feed that is not there, or was never read. */
  findTable(id: string): FeedTable | undefined {
    const whole = this.findWholeTable(id);
    // A row that was begun, and in which nothing stands yet, is in no page.
    return whole && { ...whole, table: { ...whole.table, rows: whole.table.rows.filter(isFilled) } };
  }

  /** The same with rows in which nothing stands, as whoever edits it sees it. */
  findWholeTable(id: string): FeedTable | undefined {
    const feed = this.#feeds.get(id);
    return feed?.good ? { doc: feed.doc, table: feed.good.table, kinds: feed.good.kinds } : undefined;
  }

  find(
    id: string,
  ): { readonly doc: FeedDoc; readonly revision: number; readonly version: number } | undefined {
    return this.#feeds.get(id);
  }

  /**
   * Makes a feed, or changes what one is; its bytes are read anew then.
   * @param baseRevision what the change was built on; 0 for a new one
   * @param first what a new table that is edited here begins with
   * @returns a sentence when it cannot be done
   */
  async save(
    id: string,
    baseRevision: number,
    doc: FeedDoc,
    first: Table = FIRST_TABLE,
  ): Promise<string | undefined> {
    const { source } = doc;
    const feed = this.#feeds.get(id);
    if ((feed?.revision ?? 0) !== baseRevision) return OTHERWISE;
    if (!feed && this.#feeds.size >= MOST_FEEDS)
      return t`There are ${MOST_FEEDS} feeds, the most there can be. Nothing was added; remove one first.`;
    if (source.kind === "address" && !isAllowed(new URL(source.url), this.#parts.hosts))
      return t`“${new URL(source.url).host}” is not among the hosts that the server was started with. Nothing was saved; start it with --feed-host ${new URL(source.url).host}.`;
    if (source.kind === "watched" && !this.#parts.folder)
      return t`The server was started without a feed folder. Nothing was saved; start it with --feed-folder FOLDER.`;
    if (feed && source.kind === "table") return this.#saveTable(id, baseRevision, doc);
    await this.#parts.store.save(id, baseRevision + 1, doc);
    if (!feed) {
      const good = source.kind === "table" ? goodOf(first, this.#parts.now()) : null;
      if (good) await this.#parts.store.saveGood(id, good);
      const made = newFeed(id, 1, doc, good);
      this.#feeds.set(id, made);
      this.#start(made);
      if (source.kind === "running") this.#takeRunning(made);
    } else {
      const isElsewhere = !isDeepStrictEqual(feed.doc.source, source);
      const heldTo = heldToAfter(feed.doc, doc);
      Object.assign(feed, { doc, revision: baseRevision + 1 });
      if (isElsewhere) {
        this.#stop(feed);
        Object.assign(feed, { bytes: null, mark: "", marks: NO_MARKS, endsWithLine: false });
        this.#start(feed);
      } else if (feed.bytes && heldTo) {
        feed.mark = "";
        await this.#take(feed, feed.bytes, heldTo);
      }
    }
    this.#tell(id);
    return undefined;
  }

  /** What is allowed in a table has to be so already. */
  async #saveTable(id: string, baseRevision: number, doc: FeedDoc): Promise<string | undefined> {
    const outcome = await this.onTable(id, async ({ revision, good }) => {
      if (revision !== baseRevision) return OTHERWISE;
      const accepted = acceptTable(null, good.table, doc);
      if ("fault" in accepted) return t`${accepted.fault.says} Nothing was saved; change the table first.`;
      const changed = { ...good, kinds: accepted.shape.kinds };
      const now = { revision: baseRevision + 1, doc, good: changed };
      await this.#parts.store.saveTable(id, now);
      this.tableIsNow(id, now);
      return "";
    });
    return outcome === "" ? undefined : (outcome ?? OTHERWISE);
  }

  async remove(id: string): Promise<void> {
    const feed = this.#feeds.get(id);
    if (!feed) return;
    this.#stop(feed);
    this.#feeds.delete(id);
    await this.#parts.store.remove(id);
    this.#tell(id);
  }

  /** The bytes of a file that was brought for it. @returns a sentence when they are no table for it */
  async upload(id: string, fileName: string, bytes: Uint8Array): Promise<string | undefined> {
    const feed = this.#feeds.get(id);
    if (!feed) return t`That feed is not there any more. Nothing was brought in.`;
    if (feed.doc.source.kind !== "upload")
      return t`The rows of that feed do not come from a file that is brought. Nothing was brought in.`;
    const fault = await this.#take(feed, bytes, feed.good ? "before" : "asItIs");
    if (fault) return faultSentence(feed.doc.name, fault);
    feed.doc = { ...feed.doc, source: { kind: "upload", fileName } };
    await this.#parts.store.save(id, feed.revision, feed.doc);
    await this.#parts.store.saveFile(id, bytes);
    this.#tell(id);
    return undefined;
  }

  /** What was read last is good as it is, whatever came before: other columns, fewer rows. @returns a sentence when it is not */
  async takeAsItIs(id: string): Promise<string | undefined> {
    const feed = this.#feeds.get(id);
    if (!feed?.bytes) return t`There is nothing to be taken. Pages keep the last good values.`;
    const fault = await this.#take(feed, feed.bytes, "asItIs");
    return fault ? faultSentence(feed.doc.name, fault) : undefined;
  }

  /**
   * Looks at a table that is edited here and changes it, one after another.
   * @returns what `act` returns; undefined when there is no such table
   */
  onTable<T>(id: string, act: (now: EditedTable) => Promise<T>): Promise<T | undefined> {
    const feed = this.#feeds.get(id);
    if (feed?.doc.source.kind !== "table") return Promise.resolve(undefined);
    return feed.queue.run(async () => {
      const { revision, doc, good } = feed;
      return good && this.#feeds.has(id) ? act({ revision, doc, good }) : undefined;
    });
  }

  /** The table is written down as it is now: pages follow. To be called within `onTable`. */
  tableIsNow(id: string, { revision, doc, good }: EditedTable): void {
    const feed = this.#feeds.get(id);
    if (!feed) return;
    Object.assign(feed, { revision, doc });
    this.#hasNewGood(feed, good);
  }

  /** Things of the library may be called otherwise now: pages find the pictures of feeds by what they are called. */
  followNames(): void {
    for (const feed of this.#feeds.values()) {
      if (feed.doc.format.kind !== "picture" || !feed.good) continue;
      const name = this.#parts.pictures.nameOf(feed.id);
      if (name !== undefined) this.#setGood(feed, pictureTable(name), feed.good.kinds, false);
    }
  }

  /** Something else is on now, or comes next: pages follow. */
  followRunning(): void {
    for (const feed of this.#feeds.values()) if (feed.doc.source.kind === "running") this.#takeRunning(feed);
  }

  #takeRunning(feed: RunningFeed): void {
    const table = this.#parts.running();
    const words = table.columns.map((column) => [column, "words"] as const);
    this.#setGood(feed, table, Object.fromEntries(words), false);
  }

  async close(): Promise<void> {
    this.#isClosed = true;
    clearInterval(this.#ageTimer);
    for (const feed of this.#feeds.values()) this.#stop(feed);
    await this.#parts.folder?.close();
    await this.#writer.close();
  }

  #start(feed: RunningFeed): void {
    feed.ends = new AbortController();
    switch (feed.doc.source.kind) {
      case "watched":
        void this.#readWatched(feed);
        return;
      case "address":
        void this.#poll(feed, feed.ends.signal);
        return;
      case "upload":
        // What was brought is read again only when it is to be read otherwise.
        this.#parts.store.findFile(feed.id).then(
          (bytes) => {
            feed.bytes ??= bytes ?? null;
          },
          (error) => log.warn(`The file of the feed “${feed.doc.name}” could not be found`, error),
        );
        return;
      case "table":
        // Nothing is read: hands change it.
        return;
      case "running":
        // What runs is told once it is known: until then the last stands.
        return;
    }
  }

  #stop(feed: RunningFeed): void {
    feed.ends.abort();
    clearTimeout(feed.pollTimer);
    clearTimeout(feed.faultTimer);
    feed.faultTimer = undefined;
  }

  async #readWatched(feed: RunningFeed): Promise<void> {
    const { folder } = this.#parts;
    const { source } = feed.doc;
    if (source.kind !== "watched") return;
    const soonMs = waitsMs(feed);
    if (soonMs > 0) {
      clearTimeout(feed.pollTimer);
      feed.pollTimer = setTimeout(() => void this.#readWatched(feed), soonMs);
      return;
    }
    // What changes while it is read is read once more, after.
    feed.readAgain = feed.isReading;
    if (feed.isReading) return;
    feed.isReading = true;
    const { signal } = feed.ends;
    const read = folder
      ? await folder.read(source.path)
      : { gone: t`the server was started without its folder (--feed-folder).` };
    feed.isReading = false;
    if (!signal.aborted) {
      if ("bytes" in read) await this.#take(feed, read.bytes, "before");
      else this.#failed(feed, wholeFault("gone", read.gone));
    }
    if (feed.readAgain && !this.#isClosed) await this.#readWatched(feed);
  }

  async #poll(feed: RunningFeed, signal: AbortSignal): Promise<void> {
    const { source } = feed.doc;
    if (source.kind !== "address" || signal.aborted) return;
    const beganAtMs = performance.now();
    const asked = await askAddress(source.url, this.#parts.hosts, feed.marks, { signal });
    if (signal.aborted || this.#isClosed) return;
    if ("gone" in asked) this.#failed(feed, wholeFault("gone", asked.gone));
    else if ("unchanged" in asked) this.#isAsItWas(feed);
    else {
      feed.marks = asked.marks;
      await this.#take(feed, asked.bytes, "before");
    }
    const everyMs = feed.doc.source.kind === "address" ? feed.doc.source.everyMs : source.everyMs;
    feed.pollTimer = setTimeout(
      () => void this.#poll(feed, signal),
      Math.max(waitsMs(feed), everyMs - (performance.now() - beganAtMs)),
    );
  }

  /** Reads what has come, and lets it take the place of what was there if it is good. @returns what is wrong with it */
  #take(feed: RunningFeed, bytes: Uint8Array, heldTo: HeldTo): Promise<FeedFault | null> {
    return feed.queue.run(async () => {
      const mark = createHash("sha256").update(bytes).digest("hex");
      if (mark === feed.mark && heldTo === "before") {
        if (feed.lastFault) this.#failed(feed, feed.lastFault);
        else this.#isAsItWas(feed);
        return feed.lastFault;
      }
      const read = await readFeed(feed, bytes, heldTo, this.#parts);
      Object.assign(feed, { bytes, mark, lastFault: "fault" in read ? read.fault : null });
      if ("fault" in read) {
        this.#failed(feed, read.fault);
        return read.fault;
      }
      feed.endsWithLine = bytes.at(-1) === LINE_END;
      if (read.isOther) feed.pictureAgainAtMs = performance.now() + PICTURE_EVERY_MS;
      this.#setGood(feed, read.table, read.shape.kinds, read.isOther);
      return null;
    });
  }

  #isAsItWas(feed: RunningFeed): void {
    feed.checkedAtMs = this.#parts.now();
    this.#isWell(feed);
  }

  #isWell(feed: RunningFeed): void {
    feed.wasWell = true;
    clearTimeout(feed.faultTimer);
    feed.faultTimer = undefined;
    if (!feed.fault) return;
    feed.fault = null;
    this.#tell(feed.id);
  }

  /** It is broken; whether it stays so is told a moment later. */
  #failed(feed: RunningFeed, fault: FeedFault): void {
    feed.checkedAtMs = this.#parts.now();
    if (feed.fault) {
      if (feed.fault.says === fault.says) return;
      feed.fault = { ...fault, sinceMs: feed.fault.sinceMs };
      this.#tell(feed.id);
      return;
    }
    feed.newestFault = fault;
    // What fails again and again has failed since the first time.
    if (feed.faultTimer !== undefined) return;
    const sinceMs = this.#parts.now();
    feed.faultTimer = setTimeout(() => {
      feed.faultTimer = undefined;
      const { newestFault: fault } = feed;
      if (!fault) return;
      feed.fault = { ...fault, sinceMs };
      // What was never well since the start is no news: it is marked. Nor is what breaks all the time, more than now and then.
      if (feed.wasWell && sinceMs >= feed.newsAgainAtMs) {
        feed.newsAgainAtMs = sinceMs + NEWS_EVERY_MS;
        for (const listener of this.#newsListeners) listener(faultSentence(feed.doc.name, fault));
      }
      this.#tell(feed.id);
    }, BROKEN_FOR_MS);
  }

  #setGood(feed: RunningFeed, table: Table, kinds: GoodTable["kinds"], isOther: boolean): void {
    const atMs = this.#parts.now();
    feed.checkedAtMs = atMs;
    const isSame =
      !isOther &&
      feed.good !== null &&
      isDeepStrictEqual(feed.good.table, table) &&
      isDeepStrictEqual(feed.good.kinds, kinds);
    if (isSame) {
      this.#isWell(feed);
      return;
    }
    this.#writer.writeSoon(feed.id);
    this.#hasNewGood(feed, { table, kinds, atMs, endsWithLine: feed.endsWithLine });
  }

  #hasNewGood(feed: RunningFeed, good: GoodTable): void {
    feed.good = good;
    feed.checkedAtMs = good.atMs;
    feed.version++;
    feed.isStale = false;
    feed.changes = [...feed.changes, good.atMs].slice(-REMEMBERED_CHANGES);
    this.#isWell(feed);
    this.#tell(feed.id);
  }

  #lookAtAges(): void {
    const nowMs = this.#parts.now();
    for (const feed of this.#feeds.values()) {
      const { staleAfterMs } = feed.doc;
      const isStale = staleAfterMs !== null && feed.good !== null && nowMs - feed.good.atMs > staleAfterMs;
      if (isStale === feed.isStale) continue;
      feed.isStale = isStale;
      this.#tell(feed.id);
    }
    // That it is looked at and well is worth hearing now and then.
    for (const feed of this.#feeds.values())
      if ((feed.checkedAtMs ?? 0) - feed.toldCheckedAtMs > TELL_CHECKED_EVERY_MS) this.#tell(feed.id);
  }

  #tell(id: string): void {
    const feed = this.#feeds.get(id);
    if (feed) feed.toldCheckedAtMs = feed.checkedAtMs ?? 0;
    for (const listener of this.#listeners) listener(id);
  }
}

const LINE_END = 0x0a;

const isFilled = (cells: readonly string[]): boolean => cells.some((text) => text !== "");

/** A file, or a folder that it lies in and that was changed as a whole. */
const isAt = (changed: string, path: string): boolean => changed === path || path.startsWith(`${changed}/`);

/** How long its picture is not read again. */
const waitsMs = ({ doc, pictureAgainAtMs }: RunningFeed): number =>
  doc.format.kind === "picture" ? Math.max(0, pictureAgainAtMs - performance.now()) : 0;
