import type { KeyMap } from "../../core/keys/keyMap.ts";
import type { PageContent } from "../../core/rundown/content.ts";
import type { CueView } from "../../core/rundown/edits.ts";
import type { OpenEvening } from "../../core/rundown/evening.ts";
import { findNeighbour, findNext, type ReadyCue } from "../../core/rundown/next.ts";
import type { PinnedDocument } from "../../core/screens/dress.ts";
import type { Output, ScreenPlan } from "../../core/screens/plan.ts";
import type { Command } from "../../core/show/commands.ts";
import type { AirEvent } from "../../core/show/events.ts";
import type { ShowState, Target } from "../../core/show/state.ts";
import type {
  Channel,
  DeskMode,
  DeskPresence,
  ScreenHealth,
  ServerMessage,
  StorageStatus,
} from "../../core/show/wire.ts";
import { localNow } from "../live/clock.ts";
import { Connection, type ConnectionStatus } from "../live/connection.ts";
import { ShowCopy } from "../live/showCopy.ts";
import { newId } from "../ui/newId.ts";
import { lastTarget, neighbourCue } from "./neighbourCue.ts";

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

/** A cue with its content, as the script shows it. */
export interface DeskCue {
  readonly view: CueView;
  readonly index: number;
  /** Undefined when it has a problem. */
  readonly ready: ReadyCue | undefined;
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
  /** The venue's own keys. */
  readonly keys: KeyMap;
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
  readonly keys: KeyMap;
  readonly evening: OpenEvening;
}

type Distribute<T> = T extends { id: string } ? Omit<T, "id"> : never;
/** A command before it has its id. */
export type Press = Distribute<Command>;

const NAME_KEY = "vesko-desk-name";
const CHANNEL_KEY = "vesko-desk-channel";
const ANSWER_MS = 2_000;
const GRACE_MS = 250;
/** Presses that may wait behind one on its way: a flurry must not play out long after. */
const MOST_WAITING = 4;
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
  #pending: { readonly id: string; timer: ReturnType<typeof setTimeout> } | undefined;
  /** Presses made while one was on its way; each is worked out when its turn comes, against the air as it is then. */
  #presses: (() => Press | undefined)[] = [];
  #noticeTimer: ReturnType<typeof setTimeout> | undefined;
  readonly windowId = newId();

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
      keys: start.keys,
      evening: start.evening,
      storage: { kind: "well" },
      chosenId: start.cues[0]?.cueId ?? null,
    };
    this.#snapshot = { ...this.#snapshot, next: findNext(state, this.#snapshot.ready) };
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
    if (sessionStorage.getItem(CHANNEL_KEY) === "rehearsal") this.#wantedChannel = "rehearsal";
    this.#connection = new Connection(
      () => ({ token: this.#token, windowId: this.windowId, rundownStamp: this.#rundownStamp }),
      (message) => this.#hear(message),
      (status) => {
        if (status.kind !== "open") this.#dropPresses();
        this.#change({ status });
      },
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
    this.#press(() => {
      const { next, state } = this.#snapshot;
      if (!next) {
        this.say("word", "That was the last step of the rundown. Arm a step to go on.");
        return undefined;
      }
      return { kind: "take", target: next, how, builtOn: state.airRevision };
    });
  }

  arm(target: Target): void {
    this.#press(() => ({ kind: "arm", target }));
  }

  /** Moves the arm by one step, or by one cue. */
  armNeighbour(by: 1 | -1, unit: "step" | "cue"): void {
    this.#press(() => {
      const { next, ready } = this.#snapshot;
      const from = next ?? lastTarget(ready);
      const target =
        from && (unit === "step" ? findNeighbour(from, by, ready) : neighbourCue(from, by, ready));
      return target && { kind: "arm", target };
    });
  }

  /** Arms the step before the one on air: once more from there. */
  armBefore(): void {
    this.#press(() => {
      const { state, ready } = this.#snapshot;
      const { position } = state;
      const cue = position && ready.find(({ cueId }) => cueId === position.cueId);
      const from = cue && { cueId: cue.cueId, content: cue.hash, step: position.step };
      const target = from && findNeighbour(from, -1, ready);
      return target ? { kind: "arm", target } : undefined;
    });
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
    if (this.#snapshot.mode === "watching") {
      this.say(
        "word",
        "This desk only watches, so nothing was sent. The air is as it was; choose “takes part” to act.",
      );
      return;
    }
    if (this.#snapshot.status.kind !== "open") {
      this.say(
        "trouble",
        "There is no connection to the server, so nothing was sent. The outputs keep their picture.",
      );
      return;
    }
    if (this.#presses.length >= MOST_WAITING) return;
    this.#presses.push(work);
    this.#sendNext();
  }

  #sendNext(): void {
    while (!this.#pending) {
      const work = this.#presses.shift();
      if (!work) break;
      const press = work();
      if (!press) continue;
      const command = { ...press, id: newId() } as Command;
      if (!this.#connection?.send({ kind: "command", command })) {
        this.#dropPresses();
        this.say(
          "trouble",
          "There is no connection to the server, so nothing was sent. The outputs keep their picture.",
        );
        break;
      }
      const giveUp = () => {
        this.#dropPresses();
        this.say(
          "trouble",
          "The server has not answered for two seconds. The outputs keep their picture; look before you press again.",
        );
      };
      // A desk that was busy itself has the answer waiting behind this timer: it is heard first.
      const timer = setTimeout(() => {
        if (this.#pending?.id === command.id) this.#pending.timer = setTimeout(giveUp, GRACE_MS);
      }, ANSWER_MS);
      this.#pending = { id: command.id, timer };
    }
    this.#change({ waiting: this.#pending !== undefined });
  }

  #dropPresses(): void {
    if (this.#pending) clearTimeout(this.#pending.timer);
    this.#pending = undefined;
    this.#presses = [];
    this.#change({ waiting: false });
  }

  #hear(message: ServerMessage): void {
    switch (message.kind) {
      case "rundown": {
        for (const view of message.changed) this.#views.set(view.cueId, view);
        this.#order = message.order;
        this.#rundownStamp = message.stamp;
        const kept = new Set(message.order);
        for (const id of this.#views.keys()) if (!kept.has(id)) this.#views.delete(id);
        this.#change({ ...this.#readCues(), evening: message.evening });
        return;
      }
      case "keys":
        this.#change({ keys: message.keys });
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
        if (this.#pending?.id !== message.id) return;
        clearTimeout(this.#pending.timer);
        this.#pending = undefined;
        if (message.sentence !== null) {
          // What was pressed after a refusal was meant for another air.
          this.#presses = [];
          this.say("trouble", message.sentence);
        }
        this.#sendNext();
        return;
      case "fault":
        this.say("trouble", message.sentence);
        return;
    }
    if (message.kind === "event") this.#tellHeld(message.logged.event);
    const change = this.#copy.hear(message);
    if (message.kind === "documents")
      for (const document of Object.values(message.documents))
        for (const listener of this.#documentListeners) listener(document);
    if (change === "broken") this.#connection?.restart();
    else if (change === "outdated") location.reload();
    else if (change === "state" && this.#copy.state) {
      const { state, outputs, plans, channel } = this.#copy;
      this.#change({ state, outputs, plans, channel });
      // After a long lost connection the rehearsal has ended: a new one begins with the air as it is.
      if (message.kind === "welcome") this.#sayWho();
      if (message.kind === "welcome" && channel !== this.#wantedChannel)
        this.#connection?.send({ kind: "channel", channel: this.#wantedChannel });
    }
  }

  /** What was to come by itself and did not must be known to whoever counts on it. */
  #tellHeld(event: AirEvent): void {
    if (event.kind !== "dueHeld" || event.why === "pressed") return;
    const name =
      this.#snapshot.ready.find(({ cueId }) => cueId === event.due.cueId)?.content.title ?? "A cue";
    const why = event.why === "late" ? "its time had long passed" : "it cannot be taken as it stands";
    this.say(
      "trouble",
      `“${name}” was to come by itself and was held: ${why}. The air is as it was; take it by hand.`,
    );
  }

  #readCues(): Pick<DeskSnapshot, "cues" | "ready"> {
    const before = new Map(this.#snapshot?.cues.map((cue) => [cue.view.cueId, cue]));
    const cues = this.#order.flatMap((id, index): DeskCue[] => {
      const view = this.#views.get(id);
      if (!view) return [];
      // The same object where nothing changed, so that the script draws only what did.
      const known = before.get(id);
      if (known?.view === view && known.index === index) return [known];
      const hash = "hash" in view.compiled ? view.compiled.hash : undefined;
      const content = hash && this.findContent(hash);
      return [
        {
          view,
          index,
          ready: hash && content ? { cueId: id, index, hash, content, doc: view.doc } : undefined,
        },
      ];
    });
    return { cues, ready: cues.flatMap(({ ready }) => (ready ? [ready] : [])) };
  }

  #change(change: Partial<DeskSnapshot>): void {
    const merged = { ...this.#snapshot, ...change };
    const next = change.state || change.ready ? findNext(merged.state, merged.ready) : merged.next;
    this.#snapshot = { ...merged, next };
    for (const listener of this.#listeners) listener();
  }
}
