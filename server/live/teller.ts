import { randomUUID } from "node:crypto";
import { secondPath } from "../../core/second/secondView.ts";
import { contentsOf } from "../../core/show/state.ts";
import { isTableOf, picturesNamed } from "../../core/values/liveChain.ts";
import type { ValueChange } from "../../core/values/values.ts";
import type { Channel, ScreenHealth } from "../../core/wire/wire.ts";
import type { FeedHost } from "../feeds/feedHost.ts";
import type { LiveBindings } from "../feeds/liveBindings.ts";
import type { FollowHost } from "../follow/followHost.ts";
import type { Health } from "../health/health.ts";
import { type ShowHost, wornBy } from "../host/showHost.ts";
import { targetsSoon } from "../host/targetsSoon.ts";
import type { ValueHost } from "../host/valueHost.ts";
import type { Rundown, RundownChange } from "../rundown/rundown.ts";
import type { ContentStore } from "../store/contentStore.ts";
import type { DesignStore } from "../store/designStore.ts";
import type { EveningStore } from "../store/eveningStore.ts";
import type { LinkStore } from "../store/linkStore.ts";
import type { ScreenStore } from "../store/screenStore.ts";
import type { VenueStore } from "../store/venueStore.ts";
import { deskDesigns } from "./deskDesigns.ts";
import { letGo, sendDocuments } from "./documents.ts";
import type { Rehearsals } from "./rehearsals.ts";
import { type LiveWindow, send } from "./window.ts";
import type { Windows } from "./windows.ts";

/** Documents an output holds before it lets go of those that are no longer wanted. */
const MOST_DOCUMENTS = 200;

export interface TellerParts {
  readonly host: ShowHost;
  readonly rundown: Rundown;
  readonly contents: ContentStore;
  readonly designs: DesignStore;
  readonly evenings: EveningStore;
  readonly venue: VenueStore;
  readonly screens: ScreenStore;
  readonly values: ValueHost;
  readonly feeds: Pick<FeedHost, "views">;
  readonly bindings: Pick<LiveBindings, "before" | "problems">;
  readonly follow: Pick<FollowHost, "sources" | "media" | "view" | "clipAhead">;
  readonly buildId: string;
  readonly now: () => number;
  readonly health: Pick<Health, "storage">;
  readonly windows: Windows;
  readonly rehearsals: () => Rehearsals;
  readonly screensHealth: () => readonly ScreenHealth[];
  readonly second: () => string | null;
  readonly links: LinkStore;
}

/** How feeds do is told this often at most. */
const FEEDS_EVERY_MS = 200;

/** Desks know all tables; an output those of the pages that it was given, and no more. */
const knowsTable = ({ link, sent }: LiveWindow, tableId: string): boolean =>
  link?.kind !== "output" || [...sent].some((hash) => isTableOf(tableId, hash));

/** What windows are told of the show: all of it when they come, then what changes, always with the documents it needs. */
export class Teller {
  readonly #parts: TellerParts;
  readonly #run = randomUUID().slice(0, 8);
  #feedsTimer: ReturnType<typeof setTimeout> | undefined;
  #followTimer: ReturnType<typeof setTimeout> | undefined;
  #feedsSaid = "";

  constructor(parts: TellerParts) {
    this.#parts = parts;
  }

  /** Tells the windows of a channel what happens in it. */
  follow(host: ShowHost, channel: Channel): void {
    host.onEvent((logged, state) => {
      // What a take shows is filled before anybody hears of it.
      this.#parts.bindings.before(state, channel);
      const heard = this.#parts.windows.joined().filter((connection) => connection.channel === channel);
      for (const connection of heard) {
        this.#sendContents(connection, contentsOf(state));
        send(connection, { kind: "event", logged });
      }
      this.#sendPrime(heard);
    });
  }

  /** @param knowsRundown it has all cues as they are now, and their documents: its page came with them */
  welcome(connection: LiveWindow, knowsRundown = false): void {
    const { screens, buildId, now } = this.#parts;
    const { state } = this.#parts.rehearsals().hostOf(connection);
    connection.sent.clear();
    this.#sendContents(connection, contentsOf(state));
    // Before what they fill.
    this.#sendAllValues(connection);
    send(connection, this.#sourcesNow());
    send(connection, {
      kind: "welcome",
      serverAtMs: now(),
      buildId,
      state,
      channel: connection.channel,
      outputs: screens.outputs,
      plans: screens.plans,
      outputId: connection.link?.kind === "output" ? connection.link.outputId : null,
    });
    if (connection.link && connection.link.kind !== "output") {
      const now = this.rundownNow();
      if (knowsRundown)
        for (const { compiled } of now.changed)
          if ("hash" in compiled)
            for (const hash of [compiled.hash, ...wornBy(this.#parts.contents, compiled.hash)])
              connection.sent.add(hash);
      this.tellRundown(knowsRundown ? { ...now, changed: [] } : now, [connection]);
      // What was published while it was away.
      this.tellDesigns([connection]);
      send(connection, { kind: "screens", screens: this.#parts.screensHealth() });
    }
    if (connection.link?.kind === "desk") {
      send(connection, { kind: "venue", settings: this.#parts.venue.settings });
      this.tellStorage([connection]);
      send(connection, this.#feedsNow());
      send(connection, this.#followNow());
    }
    this.#sendPrime([connection]);
    this.tellSecond([connection]);
  }

  /** Tells windows what fills pages from now on, each of the pages that it knows. */
  tellValues(changes: readonly ValueChange[]): void {
    for (const connection of this.#parts.windows.joined()) {
      const own = changes.filter(({ tableId }) => knowsTable(connection, tableId));
      if (own.length === 0) continue;
      for (const { cells } of own) this.#sendPictures(connection, Object.values(cells));
      send(connection, { kind: "values", changes: own });
    }
  }

  /** Tells desks how feeds do, a moment later and all at once: some change many times in a second. */
  tellFeedsSoon(): void {
    this.#feedsTimer ??= setTimeout(() => {
      this.#feedsTimer = undefined;
      const message = this.#feedsNow();
      const said = JSON.stringify(message);
      if (said === this.#feedsSaid) return;
      this.#feedsSaid = said;
      for (const connection of this.#parts.windows.desks()) send(connection, message);
    }, FEEDS_EVERY_MS);
  }

  /** Tells all windows what sources there are, or desks what triggers there are and how devices are heard. */
  tellFollow(what: "sources" | "triggers"): void {
    if (what === "sources")
      for (const connection of this.#parts.windows.joined()) send(connection, this.#sourcesNow());
    else
      this.#followTimer ??= setTimeout(() => {
        this.#followTimer = undefined;
        for (const connection of this.#parts.windows.desks()) send(connection, this.#followNow());
        // The list of clips may be another.
        this.#sendPrime();
      }, FEEDS_EVERY_MS);
  }

  close(): void {
    clearTimeout(this.#feedsTimer);
    clearTimeout(this.#followTimer);
  }

  #sourcesNow() {
    const { sources, media } = this.#parts.follow;
    return { kind: "sources", sources, media } as const;
  }

  #followNow() {
    return { kind: "follow", follow: this.#parts.follow.view() } as const;
  }

  #feedsNow() {
    const { feeds, bindings } = this.#parts;
    return { kind: "feeds", feeds: feeds.views(), problems: bindings.problems() } as const;
  }

  /** Contents that a window lacks, and what fills them. */
  #sendContents(connection: LiveWindow, hashes: Iterable<string>): void {
    const fresh = sendDocuments(connection, this.#parts.contents, hashes);
    const isFilled = fresh.some((document) => document.kind === "page" && document.live !== undefined);
    if (isFilled && connection.link?.kind === "output") this.#sendAllValues(connection);
  }

  #sendAllValues(connection: LiveWindow): void {
    const { seq, tables } = this.#parts.values.values;
    const own = Object.fromEntries(Object.entries(tables).filter(([id]) => knowsTable(connection, id)));
    for (const table of Object.values(own)) this.#sendPictures(connection, Object.values(table));
    send(connection, { kind: "allValues", values: { seq, tables: own } });
  }

  /** What is known of pictures that values name. */
  #sendPictures(connection: LiveWindow, texts: readonly (string | null)[]): void {
    sendDocuments(
      connection,
      this.#parts.contents,
      texts.flatMap((text) => (text === null ? [] : picturesNamed(text))),
    );
  }

  tellDesigns(to: readonly LiveWindow[]): void {
    const designs = deskDesigns(this.#parts.designs);
    for (const connection of to)
      if (connection.link && connection.link.kind !== "output")
        send(connection, { kind: "designs", ...designs });
  }

  /** Where windows find the show if this server is gone. Desks get the page at which somebody says so. */
  tellSecond(to: readonly LiveWindow[]): void {
    const address = this.#parts.second();
    for (const connection of to)
      if (connection.link) {
        const isDesk = connection.link.kind === "desk" && address !== null;
        const page = isDesk ? `${address}${secondPath(this.#parts.links.secondToken)}` : null;
        send(connection, { kind: "second", address, page });
      }
  }

  tellStorage(to: readonly LiveWindow[]): void {
    const storage = this.#parts.health.storage();
    for (const connection of to) send(connection, { kind: "storage", storage });
  }

  /** What is on air, and what may be taken next: all that links besides the desk's may see. */
  contentsInSight(): Set<string> {
    const cues = this.#parts.rundown.ready();
    return new Set([
      ...contentsOf(this.#parts.host.state),
      ...targetsSoon(this.#parts.host.state, cues).map(({ content }) => content),
    ]);
  }

  /** Names the rundown as it is now: another for every change, and in every run of the server. */
  get rundownStamp(): string {
    return `${this.#run}/${this.#parts.rundown.revision}`;
  }

  rundownNow(): RundownChange {
    const { rundown } = this.#parts;
    const changed = rundown.views();
    return { revision: rundown.revision, order: changed.map(({ cueId }) => cueId), changed };
  }

  /** Tells windows what changed in the rundown. */
  tellRundown(change: RundownChange, to = this.#parts.windows.joined()): void {
    const evening = this.#parts.evenings.open;
    const hashes = change.changed.flatMap(({ compiled }) => ("hash" in compiled ? [compiled.hash] : []));
    for (const connection of to) {
      if (!connection.link || connection.link.kind === "output") continue;
      sendDocuments(connection, this.#parts.contents, hashes);
      const { order, changed } = change;
      send(connection, { kind: "rundown", stamp: this.rundownStamp, order, changed, evening });
    }
    this.#sendPrime();
  }

  /** What the take key would bring, and the step after it, for painting ahead. */
  #sendPrime(to = this.#parts.windows.joined()): void {
    const cues = this.#parts.rundown.ready();
    const onAir = targetsSoon(this.#parts.host.state, cues);
    const { host: rehearsal } = this.#parts.rehearsals();
    const rehearsed = rehearsal && targetsSoon(rehearsal.state, cues);
    for (const connection of to) {
      const targets = connection.channel === "rehearsal" && rehearsed ? rehearsed : onAir;
      const hashes = targets.map(({ content }) => content);
      this.#sendContents(connection, hashes);
      if (connection.link?.kind === "output" && connection.sent.size > MOST_DOCUMENTS)
        letGo(connection, this.#parts.contents, [
          ...contentsOf(this.#parts.rehearsals().hostOf(connection).state),
          ...hashes,
          ...Object.values(this.#parts.values.values.tables).flatMap((table) =>
            Object.values(table).flatMap(picturesNamed),
          ),
        ]);
      const { clip } = this.#parts.rehearsals().hostOf(connection).state;
      send(connection, { kind: "preload", targets, clip: this.#parts.follow.clipAhead(clip) });
    }
  }
}
