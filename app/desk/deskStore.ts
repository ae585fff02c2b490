import type { PageContent } from "../../core/rundown/content.ts";
import type { CueView } from "../../core/rundown/edits.ts";
import type { OpenEvening } from "../../core/rundown/evening.ts";
import { findNeighbour, findNext } from "../../core/rundown/next.ts";
import type { ReadyCue } from "../../core/rundown/readyCue.ts";
import type { PinnedDocument } from "../../core/screens/dress.ts";
import type { Output, ScreenPlan } from "../../core/screens/plan.ts";
import { actToUndo } from "../../core/show/acts.ts";
import { refusalSentence } from "../../core/show/commands.ts";
import { DESK_MODES, type DeskMode } from "../../core/show/deskMode.ts";
import { pagesOn } from "../../core/show/layers.ts";
import type { Target } from "../../core/show/line.ts";
import {
  addSight,
  hasJustChanged,
  type Meaning,
  meaningOfLayer,
  meaningOfOut,
  meaningOfTake,
  meaningOfUndo,
  outTarget,
  type Sight,
} from "../../core/show/meaning.ts";
import type { ShowState } from "../../core/show/state.ts";
import type { VenueSettings } from "../../core/show/venueSettings.ts";
import type {
  Channel,
  DeskPresence,
  ScreenHealth,
  ServerMessage,
  StorageStatus,
} from "../../core/show/wire.ts";
import { localNow } from "../live/clock.ts";
import { Connection, type ConnectionStatus } from "../live/connection.ts";
import { ShowCopy } from "../live/showCopy.ts";
import { hasJustAsked, setDeskId } from "../ui/deskHeaders.ts";
import { newId } from "../ui/newId.ts";
import { newsOf } from "./airNews.ts";
import { type DeskCue, readCues } from "./deskCues.ts";
import { lastTarget, neighbourCue } from "./neighbourCue.ts";
import { isOwnDoing } from "./ownDoing.ts";
import { type Press, PressQueue } from "./pressQueue.ts";
import { ownWindowId } from "./windowId.ts";

/** Something to tell the operator, in a sentence. */
export interface Notice {
  readonly id: string;
  readonly tone: "trouble" | "word";
  readonly sentence: string;
  /** A way back, or on. */
  readonly action: NoticeAction | null;
}
export interface NoticeAction {
  readonly label: string;
  readonly act: () => void;
}

export interface DeskSnapshot {
  readonly state: ShowState;
  readonly outputs: readonly Output[];
  readonly plans: readonly ScreenPlan[];
  readonly cues: readonly DeskCue[];
  readonly ready: readonly ReadyCue[];
  /** What the take key would bring. */
  readonly next: Target | undefined;
  readonly screens: readonly ScreenHealth[];
  readonly status: ConnectionStatus;
  readonly notice: Notice | null;
  /** A command is on its way. */
  readonly waiting: boolean;
  readonly mode: DeskMode;
  /** The air, or a rehearsal that no screen shows. */
  readonly channel: Channel;
  /** All desks that are open, this one among them. */
  readonly desks: readonly DeskPresence[];
  /** Outputs that show the rehearsal in place of the air. */
  readonly rehearsedOn: readonly string[];
  /** What the venue has set for all its desks. */
  readonly venue: VenueSettings;
  /** The evening whose cues these are. */
  readonly evening: OpenEvening;
  /** How the disk of the show does. */
  readonly storage: StorageStatus;
  /** The cue chosen for editing; new cues are added after it. */
  readonly chosenId: string | null;
}

export interface DeskStart {
  readonly deskToken: string;
  readonly buildId: string;
  readonly state: ShowState;
  readonly outputs: readonly Output[];
  readonly plans: readonly ScreenPlan[];
  readonly cues: readonly CueView[];
  readonly rundownStamp: string;
  readonly documents: Readonly<Record<string, PinnedDocument>>;
  readonly screens: readonly ScreenHealth[];
  readonly venue: VenueSettings;
  readonly evening: OpenEvening;
}

const NAME_KEY = "vesko-desk-name";
const CHANNEL_KEY = "vesko-desk-channel";
const MODE_KEY = "vesko-desk-mode";
const NOTICE_MS = 9_000;

/** The desk's copy of show and rundown, and its way to ask for things. One for the whole desk. */
export class DeskStore {
  readonly #copy = new ShowCopy();
  #wantedChannel: Channel = "air";
  readonly #token: string;
  readonly #listeners = new Set<() => void>();
  readonly #documentListeners = new Set<(document: PinnedDocument) => void>();
  readonly #views = new Map<string, CueView>();
  #order: readonly string[] = [];
  #rundownStamp: string;
  #connection: Connection | undefined;
  #snapshot: DeskSnapshot;
  readonly #presses: PressQueue;
  #noticeTimer: ReturnType<typeof setTimeout> | undefined;
  /** What was seen lately: a key whose meaning has just changed by itself does nothing. */
  #sights: readonly Sight[] = [];
  readonly windowId = ownWindowId();

  constructor(start: DeskStart) {
    this.#token = start.deskToken;
    this.#rundownStamp = start.rundownStamp;
    this.#copy.hear({ kind: "documents", documents: start.documents });
    const { buildId, state, outputs, plans } = start;
    const channel = "air" as const;
    this.#copy.hear({
      kind: "welcome",
      serverAtMs: 0,
      buildId,
      state,
      outputs,
      plans,
      channel,
      outputId: null,
    });
    for (const view of start.cues) this.#views.set(view.cueId, view);
    this.#order = start.cues.map(({ cueId }) => cueId);
    this.#snapshot = {
      state,
      outputs,
      plans,
      ...this.#readCues(),
      next: undefined,
      screens: start.screens,
      status: { kind: "connecting" },
      notice: null,
      waiting: false,
      mode: "free",
      channel: "air",
      desks: [],
      rehearsedOn: [],
      venue: start.venue,
      evening: start.evening,
      storage: { kind: "well" },
      chosenId: start.cues[0]?.cueId ?? null,
    };
    this.#snapshot = { ...this.#snapshot, next: findNext(state, this.#snapshot.ready) };
    this.#presses = new PressQueue({
      send: (command) => this.#connection?.send({ kind: "command", command }) ?? false,
      trouble: (sentence) => this.say("trouble", sentence),
      onWaiting: (waiting) => {
        if (waiting !== this.#snapshot.waiting) this.#change({ waiting });
      },
    });
  }

  readonly subscribe = (listener: () => void): (() => void) => {
    this.#listeners.add(listener);
    return () => this.#listeners.delete(listener);
  };
  readonly getSnapshot = (): DeskSnapshot => this.#snapshot;

  /** Told of every document that comes. */
  onDocument(listener: (document: PinnedDocument) => void): void {
    this.#documentListeners.add(listener);
  }

  get documents(): ReadonlyMap<string, PinnedDocument> {
    return this.#copy.documents;
  }

  findContent(hash: string): PageContent | undefined {
    const document = this.#copy.documents.get(hash);
    return document?.kind === "page" ? document : undefined;
  }

  /** Server time in ms. */
  now(): number {
    return this.#connection?.now() ?? localNow();
  }

  connect(): void {
    setDeskId(this.windowId);
    if (sessionStorage.getItem(CHANNEL_KEY) === "rehearsal") this.#wantedChannel = "rehearsal";
    const mode = DESK_MODES.find((each) => each === sessionStorage.getItem(MODE_KEY));
    if (mode) this.#change({ mode });
    this.#connection = new Connection(
      () => ({
        token: this.#token,
        windowId: this.windowId,
        rundownStamp: this.#rundownStamp,
        mode: this.#snapshot.mode,
      }),
      (message) => this.#hear(message),
      (status) => {
        if (status.kind !== "open" && status.kind !== "silent") this.#presses.drop();
        this.#change({ status });
      },
      { isWatchful: true },
    );
  }

  disconnect(): void {
    this.#connection?.close();
    this.#connection = undefined;
  }

  say(tone: Notice["tone"], sentence: string, action: NoticeAction | null = null): void {
    clearTimeout(this.#noticeTimer);
    this.#change({ notice: { id: newId(), tone, sentence, action } });
    this.#noticeTimer = setTimeout(() => this.#change({ notice: null }), NOTICE_MS);
  }

  dismissNotice(): void {
    clearTimeout(this.#noticeTimer);
    this.#change({ notice: null });
  }

  choose(cueId: string | null): void {
    if (cueId !== this.#snapshot.chosenId) this.#change({ chosenId: cueId });
  }

  /** Takes in documents of a content that is only tried out. */
  learn(documents: Readonly<Record<string, PinnedDocument>>): void {
    this.#copy.hear({ kind: "documents", documents });
    for (const document of Object.values(documents))
      for (const listener of this.#documentListeners) listener(document);
  }

  /** Lets go of a content that was tried out, unless a cue has the very same. */
  unlearn(hash: string): void {
    if (!this.#snapshot.ready.some((cue) => cue.hash === hash)) this.#copy.documents.delete(hash);
  }

  /** Waits until a cue that was just added is here and can be taken; undefined when it does not come in time. */
  whenReady(cueId: string, withinMs = 3_000): Promise<ReadyCue | undefined> {
    const find = () => this.#snapshot.ready.find((cue) => cue.cueId === cueId);
    const known = find();
    if (known) return Promise.resolve(known);
    return new Promise((resolve) => {
      const settle = (cue: ReadyCue | undefined) => {
        clearTimeout(timer);
        this.#listeners.delete(check);
        resolve(cue);
      };
      const check = () => {
        const cue = find();
        if (cue) settle(cue);
      };
      const timer = setTimeout(() => settle(undefined), withinMs);
      this.#listeners.add(check);
    });
  }

  /** Takes a step of any cue, armed or not. */
  takeTarget(target: Target, how: "usual" | "cut" = "usual"): void {
    this.#press(() => ({ kind: "take", target, how, builtOn: this.#snapshot.state.airRevision }));
  }

  take(how: "usual" | "dissolve" | "cut"): void {
    if (this.#hasJustChanged(meaningOfTake, "“Take” was not used: what comes next")) return;
    this.#press(() => {
      const { next, state } = this.#snapshot;
      if (!next) {
        this.say("word", "That was the last step of the rundown. Arm a step to go on.");
        return undefined;
      }
      return { kind: "take", target: next, how, builtOn: state.airRevision };
    });
  }

  /** Takes off what “out” names: it says so beforehand, and takes nothing else off. */
  out(): void {
    if (this.#hasJustChanged(meaningOfOut, "“Out” was not used: what it takes off")) return;
    this.#press(() => {
      const target = outTarget(this.#snapshot.state, this.now());
      return target && { kind: "out", layerId: target.layerId, seen: target.cueId, how: "animated" };
    });
  }

  /** Takes a layer off, on all screens or on one that has a page of its own there. */
  layerOut(layerId: string, outputId: string | null = null): void {
    const name = this.#snapshot.state.layers.find(({ id }) => id === layerId)?.name ?? "Layer";
    if (this.#hasJustChanged(meaningOfLayer(layerId), `“${name} out” was not used: what is there`)) return;
    this.#press(() => {
      const pages = pagesOn(this.#snapshot.state, layerId, this.now());
      const page = outputId === null ? [...pages.values()].find((each) => each) : pages.get(outputId);
      const outputIds = outputId === null ? null : [outputId];
      return { kind: "out", layerId, outputIds, seen: page?.cueId ?? null, how: "animated" };
    });
  }

  /** Puts back this desk's last act, or where it has none, the last of all. */
  undo(): void {
    if (this.#hasJustChanged(meaningOfUndo(this.windowId), "“Undo” was not used: what it puts back")) return;
    this.#press(() => {
      const act = actToUndo(this.#snapshot.state.acts, this.windowId);
      if (!act) this.say("word", "There is nothing left to undo. The air is as it was.");
      return act && { kind: "undo", actId: act.actId };
    });
  }

  /** The script goes on from the newest aside that is on air, or from a chosen one. */
  goOn(cueId?: string): void {
    this.#press(() => {
      const { asides } = this.#snapshot.state.line;
      const chosen = cueId ?? asides.at(-1)?.cueId;
      if (chosen === undefined)
        this.say("word", "Nothing came besides the line, so there is nothing else to go on from.");
      return chosen === undefined ? undefined : { kind: "goOn", cueId: chosen };
    });
  }

  arm(target: Target): void {
    this.#press(() => ({ kind: "arm", target }));
  }

  /** Moves the arm by one step, or by one cue: a walk along the script, so that it goes on from there. */
  armNeighbour(by: 1 | -1, unit: "step" | "cue"): void {
    this.#press(() => {
      const { next, ready } = this.#snapshot;
      const from = next ?? lastTarget(ready);
      const target =
        from && (unit === "step" ? findNeighbour(from, by, ready) : neighbourCue(from, by, ready));
      return target && { kind: "arm", target, isJump: true };
    });
  }

  /** Arms the step before the line: once more from there. */
  armBefore(): void {
    this.#press(() => {
      const { state, ready } = this.#snapshot;
      const { at } = state.line;
      const cue = at && ready.find(({ cueId }) => cueId === at.cueId);
      const from = cue && { cueId: cue.cueId, content: cue.hash, step: at.step };
      const target = from && findNeighbour(from, -1, ready);
      return target ? { kind: "arm", target, isJump: true } : undefined;
    });
  }

  /** Tells when the meaning of a key has changed by itself a moment ago, so that the press was meant for something else. */
  #hasJustChanged(meaning: Meaning, what: string): boolean {
    if (!hasJustChanged(this.#sights, meaning, this.now())) return false;
    this.say("word", `${what} changed by itself a moment ago. The air is as it was; look, then press again.`);
    return true;
  }

  /** Goes over to the rehearsal, or back to the air; once the server has said so, all of the desk shows it. */
  rehearse(isOn: boolean): void {
    this.#wantedChannel = isOn ? "rehearsal" : "air";
    // Loaded again, this window goes on rehearsing: nobody finds himself on the air unawares.
    sessionStorage.setItem(CHANNEL_KEY, this.#wantedChannel);
    this.#connection?.send({ kind: "channel", channel: this.#wantedChannel });
  }

  /** Free, locked to take and out, or only watching. */
  setMode(mode: DeskMode): void {
    this.#change({ mode });
    sessionStorage.setItem(MODE_KEY, mode);
    this.#sayWho();
  }

  /** What the other desks call this one; kept by this browser. */
  get name(): string {
    return globalThis.localStorage?.getItem(NAME_KEY) ?? "";
  }
  setName(name: string): void {
    localStorage.setItem(NAME_KEY, name.trim());
    this.#sayWho();
  }

  /** The outputs that show the rehearsal in place of the air. */
  rehearseOn(outputIds: readonly string[]): void {
    this.#change({ rehearsedOn: outputIds });
    this.#connection?.send({ kind: "rehearseOn", outputIds: [...outputIds] });
  }

  #sayWho(): void {
    this.#connection?.send({ kind: "desk", name: this.name, mode: this.#snapshot.mode });
  }

  press(press: Press): void {
    this.#press(() => press);
  }

  #press(work: () => Press | undefined): void {
    const { status, mode } = this.#snapshot;
    if (mode === "watching") {
      this.say("word", refusalSentence("onlyWatching"));
      return;
    }
    if (status.kind !== "open" && status.kind !== "silent") {
      this.say(
        "trouble",
        "There is no connection to the server, so nothing was sent. The outputs keep their picture.",
      );
      return;
    }
    if (this.#wantedChannel !== this.#snapshot.channel) {
      const where = this.#wantedChannel === "air" ? "back to the air" : "over to the rehearsal";
      this.say("word", `This desk is just going ${where}, so nothing was sent. Look, then press again.`);
      return;
    }
    this.#presses.push(work);
  }

  #hear(message: ServerMessage): void {
    switch (message.kind) {
      case "rundown": {
        for (const view of message.changed) this.#views.set(view.cueId, view);
        this.#order = message.order;
        this.#rundownStamp = message.stamp;
        const kept = new Set(message.order);
        for (const id of this.#views.keys()) if (!kept.has(id)) this.#views.delete(id);
        this.#change({ ...this.#readCues(), evening: message.evening }, hasJustAsked());
        return;
      }
      case "venue":
        this.#change({ venue: message.settings });
        return;
      case "screens":
        this.#change({ screens: message.screens });
        return;
      case "storage":
        this.#change({ storage: message.storage });
        return;
      case "news":
        this.say("trouble", message.sentence);
        return;
      case "desks":
        this.#change({ desks: message.desks, rehearsedOn: message.rehearsedOn });
        return;
      case "answer":
        if (this.#presses.hear(message.id, message.sentence !== null) && message.sentence !== null)
          this.say("trouble", message.sentence);
        return;
      case "fault":
        this.say("trouble", message.sentence);
        return;
    }
    const before = this.#snapshot.state;
    const change = this.#copy.hear(message);
    if (message.kind === "documents")
      for (const document of Object.values(message.documents))
        for (const listener of this.#documentListeners) listener(document);
    if (change === "broken") this.#connection?.restart();
    else if (change === "outdated") location.reload();
    else if (change === "state" && this.#copy.state) {
      const { state, outputs, plans, channel } = this.#copy;
      const hand = { windowId: this.windowId, wantedChannel: this.#wantedChannel };
      const isOwn = isOwnDoing(message, this.#snapshot, hand);
      this.#change({ state, outputs, plans, channel }, isOwn);
      if (message.kind === "event") {
        const news = newsOf(message.logged, before, state, this.#snapshot.ready, this.windowId);
        if (news !== undefined) this.say("trouble", news);
      }
      // After a long lost connection the rehearsal has ended: a new one begins with the air as it is.
      if (message.kind === "welcome") this.#sayWho();
      if (message.kind === "welcome" && channel !== this.#wantedChannel)
        this.#connection?.send({ kind: "channel", channel: this.#wantedChannel });
    }
  }

  #readCues(): Pick<DeskSnapshot, "cues" | "ready"> {
    const views = this.#order.map((id) => this.#views.get(id));
    return readCues(views, this.#snapshot?.cues ?? [], (hash) => this.findContent(hash));
  }

  #change(change: Partial<DeskSnapshot>, isOwn = false): void {
    const merged = { ...this.#snapshot, ...change };
    const isSight = change.state !== undefined || change.ready !== undefined;
    const next = isSight ? findNext(merged.state, merged.ready) : merged.next;
    this.#snapshot = { ...merged, next };
    if (isSight)
      this.#sights = addSight(this.#sights, { state: merged.state, next, atMs: this.now(), isOwn });
    for (const listener of this.#listeners) listener();
  }
}
