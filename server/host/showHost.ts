import { randomUUID } from "node:crypto";
import type { ClipPlay } from "../../core/clips/clipPlay.ts";
import type { ReadyClip } from "../../core/clips/readyClip.ts";
import type { AirAction } from "../../core/keys/keyMap.ts";
import { pageCue } from "../../core/rundown/cueDoc.ts";
import { type Actor, actorName } from "../../core/show/actor.ts";
import type { Act } from "../../core/show/acts.ts";
import { type Command, type Refusal, refusalSentence } from "../../core/show/commands.ts";
import { decide } from "../../core/show/decide.ts";
import { decideClipEnd, decidePlayer } from "../../core/show/decideClip.ts";
import type { DecideContext, Decision } from "../../core/show/decideContext.ts";
import { decideSaved } from "../../core/show/decideSend.ts";
import { decideSources } from "../../core/show/decideSources.ts";
import { decideTimer } from "../../core/show/decideTimer.ts";
import type { TriggerContext } from "../../core/show/decideTrigger.ts";
import type { AirEvent, LoggedEvent } from "../../core/show/events.ts";
import { evolve } from "../../core/show/evolve.ts";
import { countedBy, happeningsOf, happeningsOfTime } from "../../core/show/happenings.ts";
import { pressOfAction } from "../../core/show/pressOfAction.ts";
import { react, reactToDue, type Written } from "../../core/show/react.ts";
import { contentsOf, type ShowState } from "../../core/show/state.ts";
import { timerCommands } from "../../core/show/timerCommands.ts";
import type { Happening } from "../../core/triggers/happening.ts";
import type { OnBuses } from "../../core/venue/source.ts";
import { STAGE_NOTE } from "../../designs/fieldSets.ts";
import { SerialQueue } from "../queue/serialQueue.ts";
import type { Rundown } from "../rundown/rundown.ts";
import type { AirLog } from "../store/airLog.ts";
import type { ContentStore } from "../store/contentStore.ts";
import { pinnedBy } from "../store/pinnedBy.ts";
import type { ScreenStore } from "../store/screenStore.ts";
import type { Journal } from "./journal.ts";

export interface Answer {
  readonly refused: Refusal | null;
  readonly sentence: string | null;
}

/** What the venue and the evening say that the air needs to know. */
export interface HostParts {
  readonly triggers: () => TriggerContext["triggers"];
  readonly names: TriggerContext["names"];
  readonly mostActsPerSecond: () => number;
  /** The list of clips, in order. */
  readonly clips: () => readonly ReadyClip[];
  /** The evening that is open. */
  readonly evening: () => DecideContext["evening"];
}

/** How far ahead motions begin, so that the news reaches every output before its first frame. */
const LEAD_MS = 20;

/** The only place where the air is decided: decide, write down, then tell. One command at a time. */
export class ShowHost {
  readonly #log: Journal;
  readonly #contents: ContentStore;
  readonly #rundown: Rundown;
  readonly #screens: ScreenStore;
  readonly #now: () => number;
  readonly #parts: HostParts;
  #state: ShowState;
  readonly #queue = new SerialQueue();
  #lastCommandMs = 0;
  /** Times of day up to here were looked at. */
  #tickedAtMs: number;
  readonly #listeners = new Set<(logged: LoggedEvent, state: ShowState) => void>();
  readonly #undoneListeners = new Set<(act: Act) => void>();

  private constructor(
    state: ShowState,
    log: Journal,
    contents: ContentStore,
    rundown: Rundown,
    screens: ScreenStore,
    parts: HostParts,
    now: () => number,
  ) {
    this.#parts = parts;
    this.#state = state;
    this.#log = log;
    this.#contents = contents;
    this.#rundown = rundown;
    this.#screens = screens;
    this.#now = now;
    this.#tickedAtMs = now();
  }

  /** Restores the air from its log, or opens it with a first event. */
  static async open(
    airLog: AirLog,
    journal: Journal,
    contents: ContentStore,
    rundown: Rundown,
    screens: ScreenStore,
    parts: HostParts,
    opening: Extract<AirEvent, { kind: "showOpened" }>,
    now: () => number,
  ): Promise<ShowHost> {
    let state = await airLog.restore(opening);
    if (!state) {
      const first: LoggedEvent = { seq: 1, atMs: now(), actor: null, actId: null, event: opening };
      state = evolve(undefined, first);
      await airLog.append([first], [], state);
    }
    const hashes = contentsOf(state);
    await contents.load(hashes);
    for (const hash of hashes) await contents.load(wornBy(contents, hash));
    return new ShowHost(state, journal, contents, rundown, screens, parts, now);
  }

  /** A rehearsal that begins with what is on air now. It is written nowhere, and no output hears of it. */
  rehearse(): ShowHost {
    const journal: Journal = { append: async () => undefined };
    return new ShowHost(
      this.#state,
      journal,
      this.#contents,
      this.#rundown,
      this.#screens,
      this.#parts,
      this.#now,
    );
  }

  get state(): ShowState {
    return this.#state;
  }

  /** Whether nothing was asked for in the last two seconds. */
  get isQuiet(): boolean {
    return this.#now() - this.#lastCommandMs > 2_000;
  }

  onEvent(listener: (logged: LoggedEvent, state: ShowState) => void): void {
    this.#listeners.add(listener);
  }

  /** Told of every act that was undone, once it is. */
  onUndone(listener: (act: Act) => void): void {
    this.#undoneListeners.add(listener);
  }

  /** Writes down what was done elsewhere and can be undone here. */
  record(event: Extract<AirEvent, { kind: "screenChanged" }>, actor: Actor): Promise<Answer> {
    return this.#queue.run(() =>
      this.#write({ events: [event] }, { actor, atMs: this.#now() }, randomUUID()),
    );
  }

  submit(command: Command, actor: Actor): Promise<Answer> {
    return this.#queue.run(() => this.#carryOut(command, actor));
  }

  /**
   * A device presses what a key would.
   * @param whyNot asked when its turn has come, after everything that was pressed before: an answer in place of carrying it out
   */
  press(action: AirAction, id: string, actor: Actor, whyNot?: () => Answer | undefined): Promise<Answer> {
    return this.#queue.run(async () => {
      const refused = whyNot?.();
      if (refused) return refused;
      const press = pressOfAction(action, this.#state, this.#context(this.#now(), actor));
      return press ? this.#carryOut({ ...press, id }, actor) : { refused: null, sentence: null };
    });
  }

  /** A mixer says what is on its buses. @param isQuiet nothing is to come of it */
  setSources(on: OnBuses, isQuiet: boolean, actor: Actor): Promise<void> {
    return this.#queue.run(async () => {
      const context = this.#context(this.#now(), actor);
      await this.#write(decideSources(this.#state, on, isQuiet, context.startAtMs), context, null);
    });
  }

  /** Another player says what it plays; null: nothing. */
  setPlayer(said: ClipPlay | null, actor: Actor): Promise<void> {
    return this.#queue.run(async () => {
      const atMs = this.#now();
      await this.#lookAtClock(atMs);
      const context = this.#context(atMs, actor);
      await this.#write(decidePlayer(this.#state, said, atMs), context, null);
    });
  }

  /** Something happened outside that triggers may answer to. */
  happen(happenings: readonly Happening[]): Promise<void> {
    return this.#queue.run(() => this.#react(happenings));
  }

  /** A cue that says so puts every save on air: its own words, in what they wear there. */
  sendSaved(cueId: string): Promise<void> {
    return this.#queue.run(async () => {
      const context = this.#context(this.#now(), { kind: "timer" });
      const decision = decideSaved(
        this.#state,
        cueId,
        (page) => {
          const worn = this.#contents.find(page.content);
          return worn?.kind === "page" ? this.#rundown.findReadyWearing(cueId, worn) : undefined;
        },
        context,
      );
      await this.#write(decision, context, null);
    });
  }

  /** Work that no command may come into: it waits for those before, and those after wait for it. Keep it short. */
  alone<T>(work: () => Promise<T>): Promise<T> {
    return this.#queue.run(work);
  }

  /** Looks at the clock: what is due is done, or held when it is too late. */
  tick(): Promise<void> {
    return this.#queue.run(() => this.#lookAtClock(this.#now()));
  }

  async #lookAtClock(atMs: number): Promise<void> {
    const sinceMs = this.#tickedAtMs;
    const commands = timerCommands(this.#state, this.#rundown.ready(), sinceMs, atMs);
    const counted = countedBy(this.#parts.triggers());
    const happenings = happeningsOfTime(this.#state, (hash) => this.#findPage(hash), counted, sinceMs, atMs);
    this.#tickedAtMs = atMs;
    for (const command of commands) {
      const context = this.#context(atMs, { kind: "timer" });
      await this.#write(decideTimer(this.#state, command, context), context, null);
    }
    for (const due of this.#state.due)
      if (due.kind === "trigger" && due.atMs <= atMs)
        await this.#writeAll(reactToDue(this.#state, due, this.#triggerContext(atMs)), atMs);
    await this.#react(happenings);
    await this.#endClip(atMs);
  }

  /** A clip that has come to its end is over, or the next goes on from there: with the places that it has come to already. */
  async #endClip(atMs: number): Promise<void> {
    const context = this.#context(atMs, { kind: "timer" });
    const before = this.#state.clip;
    await this.#write(decideClipEnd(this.#state, context.clips, atMs), context, null);
    const { clip } = this.#state;
    if (clip && clip.begunAtMs !== before?.begunAtMs && !clip.isOver)
      await this.#react([{ kind: "clipTime", play: clip, sinceMs: clip.atMs - 1, untilMs: atMs }]);
  }

  async #react(happenings: readonly Happening[]): Promise<void> {
    if (happenings.length === 0 || this.#state.triggers.areStopped) return;
    const atMs = this.#now();
    await this.#writeAll(react(this.#state, happenings, this.#triggerContext(atMs)), atMs);
  }

  /** What came of triggers: what comes of that is in it already. */
  async #writeAll(written: readonly Written[], atMs: number): Promise<void> {
    for (const { events, actor } of written) await this.#store({ events }, { actor, atMs }, null);
  }

  #triggerContext(atMs: number): TriggerContext {
    const { triggers, names, mostActsPerSecond } = this.#parts;
    return {
      ...this.#context(atMs, { kind: "timer" }),
      triggers: triggers(),
      names,
      mostActsPerSecond: mostActsPerSecond(),
    };
  }

  #findPage(hash: string) {
    const content = this.#contents.find(hash);
    return content?.kind === "page" ? content : undefined;
  }

  async #carryOut(command: Command, actor: Actor): Promise<Answer> {
    const atMs = this.#now();
    this.#lastCommandMs = atMs;
    // A clip has come to all places in it before a hand pauses or changes it.
    if (command.kind === "clip") await this.#lookAtClock(atMs);
    if (command.kind === "pad") await this.#react([{ kind: "pad", key: command.key }]);
    const context = this.#context(atMs, actor);
    return this.#write(decide(this.#state, command, context), context, command.id);
  }

  #context(atMs: number, actor: Actor): DecideContext {
    const { outputs } = this.#screens;
    const { outputs: planned } = this.#state.plan;
    return {
      actor,
      sparedIds: outputs.flatMap(({ id, spared }) =>
        (spared ?? this.#rundown.isForStage(planned[id]?.outfitId)) ? [id] : [],
      ),
      atMs,
      startAtMs: atMs + LEAD_MS,
      cues: this.#rundown.ready(),
      evening: this.#parts.evening(),
      clips: this.#parts.clips(),
      findPlan: (planId) => this.#screens.plans.find(({ id }) => id === planId),
      outputIds: outputs.map(({ id }) => id),
      compileStageNote: (text) => {
        const compiled = this.#rundown.tryOut(pageCue({ fieldSet: STAGE_NOTE, values: { note: text } }));
        if (!("content" in compiled) || Object.keys(compiled.content.wardrobe).length === 0) return undefined;
        return { hash: this.#contents.name(compiled.content), content: compiled.content };
      },
    };
  }

  /** Writes down what was decided, and what triggers do about it. */
  async #write(
    decision: Decision,
    by: Pick<DecideContext, "actor" | "atMs">,
    actId: string | null,
  ): Promise<Answer> {
    const happenings: Happening[] = [];
    const answer = await this.#store(decision, by, actId, happenings);
    await this.#react(happenings);
    return answer;
  }

  async #store(
    decision: Decision,
    { actor, atMs }: Pick<DecideContext, "actor" | "atMs">,
    actId: string | null,
    happenings: Happening[] = [],
  ): Promise<Answer> {
    if ("refused" in decision)
      return { refused: decision.refused, sentence: refusalSentence(decision.refused, nameOf(decision.by)) };
    if (decision.events.length === 0) return { refused: null, sentence: null };
    let next = this.#state;
    const logged = decision.events.map((event): LoggedEvent => {
      const entry = { seq: next.seq + 1, atMs, actor, actId, event };
      const before = next;
      next = evolve(before, entry);
      happenings.push(...happeningsOf(before, next, event));
      return entry;
    });
    const refersTo = [...contentsOf(next)].flatMap((hash) => [hash, ...wornBy(this.#contents, hash)]);
    await this.#log.append(logged, refersTo, next);
    for (const entry of logged) {
      const { event } = entry;
      const undone = event.kind === "undone" && this.#state.acts.find(({ actId: id }) => id === event.actId);
      this.#state = evolve(this.#state, entry);
      for (const listener of this.#listeners) listener(entry, this.#state);
      if (undone) for (const listener of this.#undoneListeners) listener(undone);
    }
    return { refused: null, sentence: null };
  }
}

/** Whoever came in between, as a refusal names them. */
const nameOf = (by: Actor | null | undefined): string | undefined => (by ? actorName(by) : undefined);

/** Templates, styles, pictures and clips that a content needs to be drawn. */
export const wornBy = (contents: ContentStore, hash: string): readonly string[] =>
  pinnedBy(contents.find(hash));
