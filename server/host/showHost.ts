import { randomUUID } from "node:crypto";
import { pageCue } from "../../core/rundown/cueDoc.ts";
import { type Actor, actorName } from "../../core/show/actor.ts";
import type { Act } from "../../core/show/acts.ts";
import { type Command, type Refusal, refusalSentence } from "../../core/show/commands.ts";
import { decide } from "../../core/show/decide.ts";
import type { DecideContext, Decision } from "../../core/show/decideContext.ts";
import { decideSaved } from "../../core/show/decideSend.ts";
import { decideTimer } from "../../core/show/decideTimer.ts";
import type { AirEvent, LoggedEvent } from "../../core/show/events.ts";
import { evolve } from "../../core/show/evolve.ts";
import { contentsOf, type ShowState } from "../../core/show/state.ts";
import { timerCommands } from "../../core/show/timerCommands.ts";
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

/** How far ahead motions begin, so that the news reaches every output before its first frame. */
const LEAD_MS = 20;

/** The only place where the air is decided: decide, write down, then tell. One command at a time. */
export class ShowHost {
  readonly #log: Journal;
  readonly #contents: ContentStore;
  readonly #rundown: Rundown;
  readonly #screens: ScreenStore;
  readonly #now: () => number;
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
    now: () => number,
  ) {
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
    return new ShowHost(state, journal, contents, rundown, screens, now);
  }

  /** A rehearsal that begins with what is on air now. It is written nowhere, and no output hears of it. */
  rehearse(): ShowHost {
    const journal: Journal = { append: async () => undefined };
    return new ShowHost(this.#state, journal, this.#contents, this.#rundown, this.#screens, this.#now);
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
    return this.#queue.run(async () => {
      const atMs = this.#now();
      const commands = timerCommands(this.#state, this.#rundown.ready(), this.#tickedAtMs, atMs);
      this.#tickedAtMs = atMs;
      for (const command of commands) {
        const context = this.#context(atMs, { kind: "timer" });
        await this.#write(decideTimer(this.#state, command, context), context, null);
      }
    });
  }

  async #carryOut(command: Command, actor: Actor): Promise<Answer> {
    const atMs = this.#now();
    this.#lastCommandMs = atMs;
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
      findPlan: (planId) => this.#screens.plans.find(({ id }) => id === planId),
      outputIds: outputs.map(({ id }) => id),
      compileStageNote: (text) => {
        const compiled = this.#rundown.tryOut(pageCue({ fieldSet: STAGE_NOTE, values: { note: text } }));
        if (!("content" in compiled) || Object.keys(compiled.content.wardrobe).length === 0) return undefined;
        return { hash: this.#contents.name(compiled.content), content: compiled.content };
      },
    };
  }

  async #write(
    decision: Decision,
    { actor, atMs }: Pick<DecideContext, "actor" | "atMs">,
    actId: string | null,
  ): Promise<Answer> {
    if ("refused" in decision)
      return { refused: decision.refused, sentence: refusalSentence(decision.refused, nameOf(decision.by)) };
    if (decision.events.length === 0) return { refused: null, sentence: null };
    let next = this.#state;
    const logged = decision.events.map((event): LoggedEvent => {
      const entry = { seq: next.seq + 1, atMs, actor, actId, event };
      next = evolve(next, entry);
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
