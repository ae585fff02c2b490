import type { DesignRef } from "../../core/design/designEdit.ts";
import type { PageContent } from "../../core/rundown/content.ts";
import type { CueView } from "../../core/rundown/edits.ts";
import type { PinnedDocument } from "../../core/rundown/pinnedDocument.ts";
import type { ReadyCue } from "../../core/rundown/readyCue.ts";
import type { FieldSet, FieldSets } from "../../core/scene/fieldSet.ts";
import { DESK_MODES, type DeskMode } from "../../core/show/deskMode.ts";
import { addSight, type Sight } from "../../core/show/meaning.ts";
import { findNext } from "../../core/show/next.ts";
import type { Channel, ServerMessage } from "../../core/wire/wire.ts";
import type { ProgramFrame } from "../../painters/program/programFrame.ts";
import type { ProgramScreen } from "../../painters/program/programScreen.ts";
import { isSameProgram } from "../../painters/program/shownSource.ts";
import { hasJustAsked, setDeskId } from "../api/deskHeaders.ts";
import { ownWindowId } from "../api/windowId.ts";
import { localNow } from "../live/clock.ts";
import { Connection } from "../live/connection.ts";
import { openProgram, openProgramFrame } from "../live/program.ts";
import { ShowCopy } from "../live/showCopy.ts";
import { AirCommands } from "./airCommands.ts";
import { newsOf } from "./airNews.ts";
import { readCues } from "./deskCues.ts";
import type { DeskSnapshot, DeskStart } from "./deskSnapshot.ts";
import { DroppedFiles } from "./droppedFiles.ts";
import { type Notice, type NoticeAction, Notices } from "./notices.ts";
import { isOwnDoing } from "./ownDoing.ts";

const NAME_KEY = "vesko-desk-name";
const CHANNEL_KEY = "vesko-desk-channel";
const MODE_KEY = "vesko-desk-mode";

const byId = (fieldSets: readonly FieldSet[]): FieldSets => new Map(fieldSets.map((set) => [set.id, set]));

/** The desk's copy of show and rundown, and its way to ask for things. One for the whole desk. */
export class DeskStore {
  readonly #copy = new ShowCopy();
  #wantedChannel: Channel = "air";
  readonly #token: string;
  readonly #listeners = new Set<() => void>();
  readonly #documentListeners = new Set<(document: PinnedDocument) => void>();
  readonly #valueListeners = new Set<(values: unknown) => void>();
  readonly #designListeners = new Set<(of: DesignRef, revision: number | null) => void>();
  readonly #views = new Map<string, CueView>();
  #order: readonly string[] = [];
  #rundownStamp: string;
  #connection: Connection | undefined;
  #program: ProgramScreen | undefined;
  #programFrame: ProgramFrame | undefined;
  #snapshot: DeskSnapshot;
  /** What this desk asks of the air. */
  readonly air: AirCommands;
  readonly #notices = new Notices((notice) => {
    if (notice !== this.#snapshot.notice) this.#change({ notice });
  });
  /** What was seen lately: a key whose meaning has just changed by itself does nothing. */
  #sights: readonly Sight[] = [];
  readonly windowId = ownWindowId();

  /** What was dropped on the desk, on its way to the view that takes it. */
  readonly dropped = new DroppedFiles();

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
      fieldSets: byId(start.fieldSets),
      outfits: start.outfits,
      ...this.#readCues(byId(start.fieldSets)),
      next: undefined,
      screens: start.screens,
      status: { kind: "connecting" },
      notice: null,
      waiting: false,
      mode: "free",
      channel: "air",
      desks: [],
      remotes: [],
      rehearsedOn: [],
      venue: start.venue,
      evening: start.evening,
      storage: { kind: "well" },
      second: { address: null, page: null },
      values: this.#copy.values,
      chains: this.#copy.chains,
      feeds: [],
      bindingProblems: {},
      sources: [],
      follow: null,
      chosenId: start.cues[0]?.cueId ?? null,
    };
    this.#snapshot = { ...this.#snapshot, next: findNext(state, this.#snapshot.ready) };
    this.air = new AirCommands({
      windowId: this.windowId,
      now: () => this.now(),
      snapshot: this.getSnapshot,
      sights: () => this.#sights,
      wantedChannel: () => this.#wantedChannel,
      send: (command) => this.#connection?.send({ kind: "command", command }) ?? false,
      say: (tone, sentence) => this.say(tone, sentence),
      onWaiting: (waiting) => {
        if (waiting !== this.#snapshot.waiting) this.#change({ waiting });
      },
    });
  }

  /** A recent frame of what is on program, wherever pictures show it. */
  get program(): ProgramScreen {
    if (!this.#program) {
      this.#program = openProgram("desk", () => this.now());
      this.#program.show(this.#copy.onProgram);
    }
    return this.#program;
  }

  /** The same, for pictures that are drawn on a canvas. */
  get programFrame(): ProgramFrame {
    this.#programFrame ??= openProgramFrame(this.program);
    return this.#programFrame;
  }

  readonly subscribe = (listener: () => void): (() => void) => {
    this.#listeners.add(listener);
    return () => this.#listeners.delete(listener);
  };
  readonly getSnapshot = (): DeskSnapshot => this.#snapshot;

  /** Told when a thing of Design was changed. @returns a function that ends it */
  onDesign(listener: (of: DesignRef, revision: number | null) => void): () => void {
    this.#designListeners.add(listener);
    return () => this.#designListeners.delete(listener);
  }

  /** Told of what fills pages, as it comes; all of it at once. */
  onValues(listener: (values: unknown) => void): void {
    listener(this.#copy.values);
    this.#valueListeners.add(listener);
  }

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
        if (status.kind !== "open" && status.kind !== "silent") this.air.drop();
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
    this.#notices.say(tone, sentence, action);
  }

  dismissNotice(): void {
    this.#notices.dismiss();
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

  #hear(message: ServerMessage): void {
    switch (message.kind) {
      case "rundown": {
        for (const view of message.changed) this.#views.set(view.cueId, view);
        this.#order = message.order;
        this.#rundownStamp = message.stamp;
        const kept = new Set(message.order);
        for (const id of this.#views.keys()) if (!kept.has(id)) this.#views.delete(id);
        this.#change(
          { ...this.#readCues(this.#snapshot.fieldSets), evening: message.evening },
          hasJustAsked(),
        );
        return;
      }
      case "design":
        for (const listener of this.#designListeners) listener(message.of, message.revision);
        return;
      case "designs": {
        const { fieldSets: known, outfits } = this.#snapshot;
        const isSame = (a: unknown, b: unknown) => JSON.stringify(a) === JSON.stringify(b);
        if (isSame([...known.values()], message.fieldSets) && isSame(outfits, message.outfits)) return;
        const fieldSets = byId(message.fieldSets);
        // Cues are called by their fields: all of them are read anew.
        this.#change({ fieldSets, outfits: message.outfits, ...this.#readCues(fieldSets, []) });
        return;
      }
      case "venue":
        this.#change({ venue: message.settings });
        return;
      case "screens":
        this.#change({ screens: message.screens });
        return;
      case "feeds":
        this.#change({ feeds: message.feeds, bindingProblems: message.problems });
        return;
      case "follow":
        this.#change({ follow: message.follow });
        return;
      case "storage":
        this.#change({ storage: message.storage });
        return;
      case "second":
        this.#change({ second: { address: message.address, page: message.page } });
        return;
      case "news":
        this.say("trouble", message.sentence);
        return;
      case "desks":
        this.#change({ desks: message.desks, remotes: message.remotes, rehearsedOn: message.rehearsedOn });
        return;
      case "answer":
        if (this.air.hearAnswer(message.id, message.sentence !== null) && message.sentence !== null)
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
    else if (change === "sources") {
      this.#change({ sources: this.#copy.sources });
      this.#program?.show(this.#copy.onProgram);
    } else if (change === "values") {
      const told = message.kind === "values" ? message.changes : this.#copy.values;
      for (const listener of this.#valueListeners) listener(told);
      this.#change({ values: this.#copy.values, chains: this.#copy.chains });
    } else if (change === "state" && this.#copy.state) {
      const { state, outputs, plans, channel } = this.#copy;
      if (!isSameProgram(state, before)) this.#program?.show(this.#copy.onProgram);
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

  #readCues(fieldSets: FieldSets, before = this.#snapshot?.cues ?? []): Pick<DeskSnapshot, "cues" | "ready"> {
    const views = this.#order.map((id) => this.#views.get(id));
    return readCues(views, before, (hash) => this.findContent(hash), fieldSets);
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
