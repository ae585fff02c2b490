import type { ReadyClip } from "../core/clips/readyClip.ts";
import type { PageContent } from "../core/rundown/content.ts";
import type { ReadyCue } from "../core/rundown/readyCue.ts";
import { stepsOf } from "../core/rundown/steps.ts";
import type { Actor } from "../core/show/actor.ts";
import type { Command, TimerCommand } from "../core/show/commands.ts";
import { decide } from "../core/show/decide.ts";
import { decideClipEnd } from "../core/show/decideClip.ts";
import type { DecideContext, Decision } from "../core/show/decideContext.ts";
import { decideSources } from "../core/show/decideSources.ts";
import { decideTimer } from "../core/show/decideTimer.ts";
import type { TriggerContext } from "../core/show/decideTrigger.ts";
import type { AirEvent, LoggedEvent } from "../core/show/events.ts";
import { evolve } from "../core/show/evolve.ts";
import { countedBy, happeningsOf, happeningsOfTime } from "../core/show/happenings.ts";
import { react, reactToDue, type Written } from "../core/show/react.ts";
import { pageAt } from "../core/show/slot.ts";
import { type ShowState, showStateSchema } from "../core/show/state.ts";
import { triggersOfCues } from "../core/show/tiedToSource.ts";
import { timerCommands } from "../core/show/timerCommands.ts";
import type { Happening } from "../core/triggers/happening.ts";
import type { Trigger } from "../core/triggers/trigger.ts";
import type { TriggerNames } from "../core/triggers/triggerNames.ts";
import type { ScreenPlan } from "../core/venue/plan.ts";
import { STARTER_PLAN } from "../designs/starterScreens.ts";
import { DESK, openedState } from "./contents.ts";

/** Things are called by their ids. */
export const TRIGGER_NAMES: TriggerNames = {
  source: String,
  cue: String,
  layer: String,
  plan: String,
  clip: String,
  feed: String,
};

/** A show with a clock: what is due is brought when its time comes, as the server does. */
export class Clocked {
  state: ShowState = openedState();
  atMs = 10_000;
  clips: readonly ReadyClip[] = [];
  readonly kinds: string[] = [];
  /** All that was written down. */
  readonly logged: LoggedEvent[] = [];

  /** Whether every state is read back by its schema; thousands of presses are quicker without. */
  isChecked = true;
  plans: readonly ScreenPlan[] = [];
  evening: DecideContext["evening"] = { day: "", startsAt: "", endsAt: "" };
  triggers: readonly Trigger[] = [];
  mostActsPerSecond = 20;
  sparedIds: readonly string[] = [];

  constructor(
    public cues: readonly ReadyCue[],
    readonly compileStageNote: DecideContext["compileStageNote"] = () => undefined,
  ) {}

  press(command: Command, actor: Actor = DESK): string | null {
    return this.#apply(decide(this.state, command, this.#context(actor)), actor, command.id);
  }

  /** Undoes the newest act. */
  undo(actor: Actor = DESK): string | null {
    const actId = this.state.acts.at(-1)?.actId ?? "none";
    return this.press({ kind: "undo", id: `undo-${actId}`, actId }, actor);
  }

  take(index: number, step = 0, more: { actor?: Actor; isJump?: boolean } = {}): string | null {
    const cue = this.cues[index] as ReadyCue;
    const anchor = (stepsOf(cue.content)[step] as ReturnType<typeof stepsOf>[number]).anchor;
    const command: Command = {
      kind: "take",
      id: `take-${this.atMs}-${this.state.seq}-${index}`,
      how: "usual",
      builtOn: this.state.airRevision,
      isJump: more.isJump ?? false,
      target: { cueId: cue.cueId, content: cue.hash, step: anchor },
    };
    return this.press(command, more.actor);
  }

  /** Lets time pass, in steps no longer than the server's. */
  wait(ms: number, stepMs = 20): void {
    const until = this.atMs + ms;
    while (this.atMs < until) {
      const sinceMs = this.atMs;
      this.atMs = Math.min(until, this.atMs + stepMs);
      for (const command of timerCommands(this.state, this.cues, sinceMs, this.atMs)) this.#byItself(command);
      const happenings = happeningsOfTime(
        this.state,
        (hash) => this.#find(hash),
        countedBy(this.triggers),
        sinceMs,
        this.atMs,
      );
      for (const due of this.state.due)
        if (due.kind === "trigger" && due.atMs <= this.atMs)
          this.#write(reactToDue(this.state, due, this.#triggering()));
      this.happen(happenings);
      const before = this.state.clip;
      this.#apply(decideClipEnd(this.state, this.clips, this.atMs), { kind: "timer" }, null);
      const { clip } = this.state;
      if (clip && clip.begunAtMs !== before?.begunAtMs)
        this.happen([{ kind: "clipTime", play: clip, sinceMs: clip.atMs - 1, untilMs: this.atMs }]);
    }
  }

  /** The time of day of a cue has come. */
  timed(index: number): void {
    this.#byItself({ kind: "timed", cueId: (this.cues[index] as ReadyCue).cueId, atMs: this.atMs });
  }

  /** A mixer says what is on its buses. */
  mixer(program: readonly string[], preview: readonly string[] = [], isQuiet = false): void {
    const actor: Actor = { kind: "device", id: "mixer" };
    const on = { program: [...program], preview: [...preview] };
    this.#apply(decideSources(this.state, on, isQuiet, this.atMs), actor, null);
  }

  /** Something happened outside. */
  happen(happenings: readonly Happening[]): void {
    if (happenings.length > 0) this.#write(react(this.state, happenings, this.#triggering()));
  }

  #triggering(): TriggerContext {
    return {
      ...this.#context({ kind: "timer" }),
      triggers: [...this.triggers, ...triggersOfCues(this.cues)],
      names: TRIGGER_NAMES,
      mostActsPerSecond: this.mostActsPerSecond,
    };
  }

  #find(hash: string): PageContent | undefined {
    return this.cues.find((cue) => cue.hash === hash)?.content;
  }

  #write(written: readonly Written[]): void {
    for (const { events, actor } of written) for (const event of events) this.#log(event, actor, null);
    if (this.isChecked) showStateSchema.parse(this.state);
  }

  #byItself(command: TimerCommand): void {
    const actor = { kind: "timer" } as const;
    this.#apply(decideTimer(this.state, command, this.#context(actor)), actor, null);
  }

  on(layerId: string): string | null {
    return pageAt(this.state.slots[layerId] ?? [], this.atMs)?.cueId ?? null;
  }

  #context(actor: Actor): DecideContext {
    return {
      atMs: this.atMs,
      startAtMs: this.atMs,
      cues: this.cues,
      clips: this.clips,
      evening: this.evening,
      findPlan: (id: string) => [STARTER_PLAN, ...this.plans].find((plan) => plan.id === id),
      outputIds: ["wall", "stream"],
      sparedIds: this.sparedIds,
      actor,
      compileStageNote: this.compileStageNote,
    };
  }

  #apply(decision: Decision, actor: Actor, actId: string | null): string | null {
    if ("refused" in decision) return decision.refused;
    const happenings = decision.events.flatMap((event) => {
      const before = this.state;
      this.#log(event, actor, actId);
      return happeningsOf(before, this.state, event);
    });
    if (this.isChecked) showStateSchema.parse(this.state);
    this.happen(happenings);
    return null;
  }

  #log(event: AirEvent, actor: Actor, actId: string | null): void {
    this.kinds.push(event.kind);
    const logged: LoggedEvent = { seq: this.state.seq + 1, atMs: this.atMs, actor, actId, event };
    this.logged.push(logged);
    this.state = evolve(this.state, logged);
  }
}
