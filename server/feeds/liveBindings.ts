import { feedsIn, type LiveFields, pickedFeeds } from "../../core/feeds/binding.ts";
import { usedName } from "../../core/feeds/pickRows.ts";
import { resolveBinding } from "../../core/feeds/resolveBinding.ts";
import { t } from "../../core/language/t.ts";
import type { PageContent } from "../../core/rundown/content.ts";
import { contentsOf, pagesInSight, pagesOnLayers, type ShowState } from "../../core/show/state.ts";
import { pageTable, picturesNamed } from "../../core/values/liveChain.ts";
import { FROZEN_TABLE, usedTable } from "../../core/values/tables.ts";
import type { Channel } from "../../core/wire/wire.ts";
import type { ShowHost } from "../host/showHost.ts";
import type { ValueHost } from "../host/valueHost.ts";
import type { Rundown } from "../rundown/rundown.ts";
import type { ContentStore } from "../store/contentStore.ts";
import type { FeedHost } from "./feedHost.ts";

export interface LiveBindingsParts {
  readonly feeds: FeedHost;
  readonly values: ValueHost;
  readonly rundown: Rundown;
  readonly contents: ContentStore;
  /** The air, and a rehearsal that goes on. */
  readonly hosts: () => readonly ShowHost[];
  /** BCP 47 tag by which numbers and dates are written. */
  readonly language: () => string;
}

/** A page that is filled from feeds: one that may be taken, or is on air. */
interface BoundPage {
  readonly cueId: string;
  readonly content: PageContent;
  readonly live: LiveFields;
}

/**
 * Fills pages from feeds: works out what each binding gives whenever a feed, or what may be shown, changes, and says only what is other
 * than before. What gives nothing (a row that is gone, a column that is missing) leaves what was there.
 */
export class LiveBindings {
  readonly #parts: LiveBindingsParts;
  readonly #pages = new Map<string, BoundPage>();
  /** Page table → field → why it has no value now. */
  readonly #problems = new Map<string, Readonly<Record<string, string>>>();
  /** Tables of pages that are on a layer, on air or in a rehearsal. */
  #shown: ReadonlySet<string> = new Set();
  readonly #listeners = new Set<() => void>();

  constructor(parts: LiveBindingsParts) {
    this.#parts = parts;
    parts.rundown.onChange(() => this.refresh());
    parts.feeds.onChange((id) => this.#fill((page) => feedsIn(page.live.bindings).includes(id)));
  }

  /** Told when what is wrong with bindings has changed. */
  onProblems(listener: () => void): void {
    this.#listeners.add(listener);
  }

  /** Cue → why something of it is not filled as it should be. */
  problems(): Readonly<Record<string, string>> {
    const byCue: Record<string, string> = {};
    for (const [table, problems] of this.#problems) {
      const page = this.#pages.get(table);
      const [first] = Object.values(problems);
      if (page && first) byCue[page.cueId] = first;
    }
    return byCue;
  }

  /** The state is about to be told: whatever it shows is filled before. */
  before(state: ShowState, channel: Channel): void {
    this.#refreshFor(state);
    const before = this.#shown;
    this.#shown = new Set([state, ...this.#states()].flatMap((each) => pagesOnLayers(each).map(pageTable)));
    // What is taken has the pictures that the library has now.
    this.#fill((_page, table) => this.#shown.has(table) && !before.has(table), NO_TABLES);
    if (channel === "air") this.#markUsed(state);
    this.#parts.values.tellNow();
  }

  /** Pages that may be taken or are on air are others now. */
  refresh(): void {
    const wanted = new Map<string, BoundPage>();
    for (const { cueId, hash, content } of this.#parts.rundown.ready())
      this.#want(wanted, cueId, hash, content);
    for (const state of this.#states()) this.#wantShown(wanted, state);
    for (const table of this.#pages.keys())
      if (!wanted.has(table)) {
        this.#pages.delete(table);
        this.#problems.delete(table);
      }
    const fresh = new Set([...wanted.keys()].filter((table) => !this.#pages.has(table)));
    for (const [table, page] of wanted) this.#pages.set(table, page);
    // Values of pages that nobody can show any more, from before this start too.
    for (const table of Object.keys(this.#parts.values.values.tables))
      if (OF_PAGE.test(table) && !wanted.has(table)) this.#parts.values.drop(table);
    this.#fill((_page, table) => fresh.has(table));
  }

  /** A page is frozen, or goes on; one that goes on is as its feeds are now. @returns a sentence when it cannot be done */
  freeze(cueId: string, isFrozen: boolean, atMs: number): string | undefined {
    const cells = { [cueId]: isFrozen ? String(Math.round(atMs)) : null };
    const problem = this.#parts.values.set(FROZEN_TABLE, cells, BY_HAND);
    if (problem === undefined && !isFrozen) this.#fill((page) => page.cueId === cueId);
    return problem;
  }

  /** The names of rows that were used. */
  used(feedId: string): ReadonlySet<string> {
    return new Set(Object.keys(this.#parts.values.values.tables[usedTable(feedId)] ?? {}));
  }

  /** A row was used, or is put back. @returns a sentence when it cannot be done */
  use(feedId: string, row: string, isUsed: boolean): string | undefined {
    return this.#parts.values.set(usedTable(feedId), { [usedName(row)]: isUsed ? "yes" : null }, BY_HAND);
  }

  /** Every row of a feed is as if it had never been used. */
  putAllBack(feedId: string): void {
    this.#parts.values.drop(usedTable(feedId));
  }

  /** Formats are written otherwise now, or pictures are there that were not. */
  refill(): void {
    this.#fill(() => true);
  }

  #refreshFor(state: ShowState): void {
    const shown = new Map<string, BoundPage>();
    this.#wantShown(shown, state);
    const fresh = new Set<string>();
    for (const [table, page] of shown) {
      if (this.#pages.has(table)) continue;
      this.#pages.set(table, page);
      fresh.add(table);
    }
    if (fresh.size > 0) this.#fill((_page, table) => fresh.has(table));
  }

  #states(): ShowState[] {
    return this.#parts.hosts().map(({ state }) => state);
  }

  /** A row that was picked for a page is used as soon as the page is on air. */
  #markUsed(state: ShowState): void {
    for (const { content } of pagesInSight(state)) {
      const { bindings, picks } = this.#bound(content)?.live ?? { bindings: {}, picks: {} };
      for (const feedId of pickedFeeds(bindings)) {
        const row = picks[feedId];
        if (row !== undefined && !this.used(feedId).has(usedName(row))) this.use(feedId, row, true);
      }
    }
  }

  #wantShown(wanted: Map<string, BoundPage>, state: ShowState): void {
    const hashes = contentsOf(state);
    if (![...hashes].some((hash) => this.#bound(hash))) return;
    const arms = [state.arm, state.arm?.over].flatMap((arm) => (arm ? [arm.target] : []));
    const undone = state.acts.flatMap(({ before }) =>
      Object.values(before.moments).flatMap(({ common, perOutput }) =>
        [common, ...Object.values(perOutput)].flatMap((moment) => (moment?.page ? [moment.page] : [])),
      ),
    );
    for (const { cueId, content } of [...pagesInSight(state), ...arms, ...undone]) {
      const document = this.#bound(content);
      if (document) this.#want(wanted, cueId, content, document);
    }
  }

  #bound(hash: string): PageContent | undefined {
    const document = this.#parts.contents.find(hash);
    return document?.kind === "page" && document.live ? document : undefined;
  }

  #want(wanted: Map<string, BoundPage>, cueId: string, hash: string, content: PageContent): void {
    const { live } = content;
    if (live) wanted.set(pageTable({ cueId, content: hash }), { cueId, content, live });
  }

  /** @param seen tables of pages whose pictures no hand in the library changes */
  #fill(
    isWanted: (page: BoundPage, table: string) => boolean,
    seen: ReadonlySet<string> = new Set(
      this.#states().flatMap((state) => pagesInSight(state).map(pageTable)),
    ),
  ): void {
    const { values, rundown } = this.#parts;
    const frozen = values.values.tables[FROZEN_TABLE] ?? {};
    let isOther = false;
    for (const [table, page] of this.#pages) {
      if (!isWanted(page, table)) continue;
      const before = values.values.tables[table] ?? {};
      // Frozen from before it was ever filled, it is filled once.
      if (page.cueId in frozen && table in values.values.tables) continue;
      const { given, problems } = this.#resolve(page);
      isOther ||= JSON.stringify(problems) !== JSON.stringify(this.#problems.get(table) ?? {});
      this.#problems.set(table, problems);
      const shown = seen.has(table) ? this.#heldPictures(page, before) : [];
      const now = rundown.pinPictures(page.content, given, shown);
      const changed: Record<string, string | null> = {};
      for (const [field, text] of Object.entries(now)) if (before[field] !== text) changed[field] = text;
      if (Object.keys(changed).length === 0) continue;
      const [feedId = ""] = feedsIn(page.live.bindings);
      const name = this.#parts.feeds.find(feedId)?.doc.name.slice(0, 40);
      values.set(table, changed, { kind: "feed", id: feedId, ...(name !== undefined && { name }) });
    }
    if (isOther) for (const listener of this.#listeners) listener();
  }

  /** Pictures of a page that is seen: a hand in the library changes none of them. Those that are feeds themselves change as feeds do. */
  #heldPictures({ live }: BoundPage, values: Readonly<Record<string, string>>): string[] {
    return Object.entries(live.bindings).flatMap(([field, { feedId }]) =>
      this.#parts.feeds.find(feedId)?.doc.format.kind === "picture" ? [] : picturesNamed(values[field] ?? ""),
    );
  }

  #resolve({ content, live: { bindings, picks } }: BoundPage) {
    const given: Record<string, string> = {};
    const problems: Record<string, string> = {};
    for (const [field, binding] of Object.entries(bindings)) {
      const feed = this.#parts.feeds.findTable(binding.feedId);
      if (!feed) {
        problems[field] = this.#parts.feeds.find(binding.feedId)
          ? t`Its feed was never read.`
          : t`Its feed was removed.`;
        continue;
      }
      const resolved = resolveBinding(binding, feed, picks[binding.feedId], this.#parts.language());
      if ("text" in resolved) given[field] = resolved.text;
      else if ("problem" in resolved) problems[field] = resolved.problem;
      // The page's own words stand where nothing is picked.
      else given[field] = content.values[field] ?? "";
    }
    return { given, problems };
  }
}

const NO_TABLES: ReadonlySet<string> = new Set();
const BY_HAND = { kind: "desk", id: "desk" } as const;

/** Names of the tables of pages; see `pageTable`. */
const OF_PAGE = /^[0-9a-f]{16}\//;
