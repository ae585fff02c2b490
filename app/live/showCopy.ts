import type { PinnedDocument } from "../../core/rundown/pinnedDocument.ts";
import type { MediaInfo } from "../../core/scene/media.ts";
import { evolve } from "../../core/show/evolve.ts";
import type { Target } from "../../core/show/line.ts";
import type { ShowState } from "../../core/show/state.ts";
import { chainsAfter, evolveChains, type LiveChains, NO_CHAINS } from "../../core/values/liveChain.ts";
import { evolveValues, type LiveValues, NO_VALUES } from "../../core/values/values.ts";
import type { Output, ScreenPlan } from "../../core/venue/plan.ts";
import type { SourceMedia, SourceView } from "../../core/wire/followView.ts";
import type { Channel, ServerMessage } from "../../core/wire/wire.ts";
import { type ShownSource, shownSources } from "../../painters/program/shownSource.ts";

/** This window's copy of the show: the same events, the same state. */
export class ShowCopy {
  readonly documents = new Map<string, PinnedDocument>();
  state: ShowState | undefined;
  outputs: readonly Output[] = [];
  plans: readonly ScreenPlan[] = [];
  outputId: string | null = null;
  preloaded: readonly Target[] = [];
  /** What the player begins next. */
  clipAhead: MediaInfo | null = null;
  /** Values that change often. */
  values: LiveValues = NO_VALUES;
  /** What of them filled pages lately. */
  chains: LiveChains = NO_CHAINS;
  channel: Channel = "air";
  /** The venue's sources, and what they show of the library. */
  sources: readonly SourceView[] = [];
  sourceMedia: SourceMedia = {};
  #buildId: string | undefined;

  /** The sources that are on program now. */
  get onProgram(): readonly ShownSource[] {
    return this.state ? shownSources(this.state, this.sources, this.sourceMedia) : [];
  }

  /** Begins with a show that was kept while the server is away; the first word of the server replaces it. */
  learn(kept: {
    readonly state: ShowState;
    readonly outputs: readonly Output[];
    readonly plans: readonly ScreenPlan[];
    readonly documents: Readonly<Record<string, PinnedDocument>>;
  }): void {
    if (this.state) return;
    for (const [hash, document] of Object.entries(kept.documents)) this.documents.set(hash, document);
    this.state = kept.state;
    this.outputs = kept.outputs;
    this.plans = kept.plans;
  }

  /**
   * Takes in a message.
   * @returns what has changed: "nothing" here, "documents", "state", "sources" or "values"; "broken" when an event is missing and the
   *   window must connect anew; "outdated" when the server runs a newer build and the window must load anew
   */
  hear(
    message: ServerMessage,
  ): "nothing" | "documents" | "state" | "sources" | "values" | "preload" | "broken" | "outdated" {
    switch (message.kind) {
      case "documents":
        for (const [hash, document] of Object.entries(message.documents)) this.documents.set(hash, document);
        return "documents";
      case "keep": {
        const kept = new Set(message.hashes);
        for (const hash of this.documents.keys()) if (!kept.has(hash)) this.documents.delete(hash);
        return "nothing";
      }
      case "welcome":
        if (this.#buildId !== undefined && this.#buildId !== message.buildId) return "outdated";
        this.#buildId = message.buildId;
        this.state = message.state;
        this.outputs = message.outputs;
        this.plans = message.plans;
        this.channel = message.channel;
        this.outputId = message.outputId;
        return "state";
      case "setUp":
        this.outputs = message.outputs;
        this.plans = message.plans;
        return "state";
      case "event":
        if (!this.state || message.logged.seq <= this.state.seq) return "nothing";
        if (message.logged.seq !== this.state.seq + 1) return "broken";
        this.state = evolve(this.state, message.logged);
        return "state";
      case "allValues":
        this.values = message.values;
        this.chains = chainsAfter(this.chains, this.values);
        return "values";
      case "values":
        for (const change of message.changes) {
          this.values = evolveValues(this.values, change);
          this.chains = evolveChains(this.chains, change, this.values);
        }
        return "values";
      case "sources":
        this.sources = message.sources;
        this.sourceMedia = message.media;
        return "sources";
      case "preload":
        this.preloaded = message.targets;
        this.clipAhead = message.clip;
        return "preload";
      default:
        return "nothing";
    }
  }
}
