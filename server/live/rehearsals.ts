import type { Channel } from "../../core/wire/wire.ts";
import type { Entry } from "../access/entry.ts";
import type { ShowHost } from "../host/showHost.ts";
import type { ContentStore } from "../store/contentStore.ts";
import type { ScreenStore } from "../store/screenStore.ts";
import { afterRunning } from "../time/afterRunning.ts";
import { RehearsalLog } from "./rehearsalLog.ts";
import type { LiveWindow } from "./window.ts";
import type { Windows } from "./windows.ts";

/** A page that is loaded again, or a network that is gone for a moment, ends no rehearsal. */
const WAITS_MS = 30_000;

export interface RehearsalsParts {
  readonly air: ShowHost;
  readonly contents: ContentStore;
  readonly screens: ScreenStore;
  readonly windows: Windows;
  /** A rehearsal has begun: its windows are to be told what happens in it. */
  readonly onBegun: (host: ShowHost) => void;
  /** These windows are in another channel now. */
  readonly onMoved: (windows: readonly LiveWindow[]) => void;
  /** How long one waits for a desk whose window was lost, before it ends. */
  readonly waitsMs?: number;
}

/** The rehearsal: begins with the air as it is when the first desk comes, ends when the last goes back. */
export class Rehearsals {
  readonly #parts: RehearsalsParts;
  #host: ShowHost | undefined;
  #rehearsedOn: readonly string[] = [];
  #log = new RehearsalLog();
  #giveUpWaiting: () => void = () => {};

  constructor(parts: RehearsalsParts) {
    this.#parts = parts;
  }

  /** What was done in the rehearsal that goes on, or else in the last one. */
  get log(): RehearsalLog {
    return this.#log;
  }

  /** The rehearsal that goes on. */
  get host(): ShowHost | undefined {
    return this.#host;
  }

  /** Outputs that show the rehearsal in place of the air. */
  get rehearsedOn(): readonly string[] {
    return this.#rehearsedOn;
  }

  hostOf({ channel }: LiveWindow): ShowHost {
    return channel === "rehearsal" && this.#host ? this.#host : this.#parts.air;
  }

  channelOf(link: Entry | null): Channel {
    return link?.kind === "output" && this.#rehearsedOn.includes(link.outputId) ? "rehearsal" : "air";
  }

  /** A desk changes over. */
  setChannel(window: LiveWindow, channel: Channel): void {
    if (channel === "rehearsal" && !this.#host) {
      this.#host = this.#parts.air.rehearse();
      const log = new RehearsalLog();
      this.#log = log;
      this.#host.onEvent((logged) => log.add(logged, this.#parts.contents));
      this.#parts.onBegun(this.#host);
    }
    window.channel = channel;
    this.#endWhenEmpty();
  }

  /** A desk was lost: one that waits for it ends after a while. */
  lost(window: LiveWindow): void {
    if (window.channel !== "rehearsal" || this.#isRehearsing()) return;
    this.#giveUpWaiting();
    this.#giveUpWaiting = afterRunning(this.#parts.waitsMs ?? WAITS_MS, () => this.#endWhenEmpty());
  }

  /** Gives these outputs the rehearsal to show, and the others the air again. */
  showOn(outputIds: readonly string[]): void {
    const { screens, windows, onMoved } = this.#parts;
    this.#rehearsedOn = screens.outputs.map(({ id }) => id).filter((id) => outputIds.includes(id));
    const moved = windows
      .joined()
      .filter(({ link, channel }) => link?.kind === "output" && channel !== this.channelOf(link));
    for (const window of moved) window.channel = this.channelOf(window.link);
    onMoved(moved);
  }

  close(): void {
    this.#giveUpWaiting();
  }

  #endWhenEmpty(): void {
    this.#giveUpWaiting();
    if (this.#isRehearsing()) return;
    this.#host = undefined;
    this.showOn([]);
  }

  #isRehearsing(): boolean {
    return this.#parts.windows.desks().some(({ channel }) => channel === "rehearsal");
  }
}
