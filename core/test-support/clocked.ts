import { STARTER_PLAN } from "../../designs/starter.ts";
import type { ReadyCue } from "../rundown/next.ts";
import { stepsOf } from "../rundown/steps.ts";
import type { Command } from "../show/commands.ts";
import { type DecideContext, type Decision, decide, decideTimer } from "../show/decide.ts";
import type { LoggedEvent } from "../show/events.ts";
import { evolve } from "../show/evolve.ts";
import { pageAt } from "../show/slot.ts";
import { type ShowState, showStateSchema } from "../show/state.ts";
import { DESK, openedState } from "./contents.ts";

/** A show with a clock: what is due is brought when its time comes, as the server does. */
export class Clocked {
  state: ShowState = openedState();
  atMs = 10_000;
  readonly kinds: string[] = [];
  /** All that was written down. */
  readonly logged: LoggedEvent[] = [];

  constructor(
    public cues: readonly ReadyCue[],
    readonly compileStageNote: DecideContext["compileStageNote"] = () => undefined,
  ) {}

  press(command: Command): string | null {
    return this.#apply(decide(this.state, command, this.#context()));
  }

  take(index: number, step = 0): string | null {
    const cue = this.cues[index] as ReadyCue;
    const anchor = (stepsOf(cue.content)[step] as ReturnType<typeof stepsOf>[number]).anchor;
    return this.press({
      kind: "take",
      id: `take-${this.atMs}-${index}`,
      how: "usual",
      builtOn: this.state.airRevision,
      target: { cueId: cue.cueId, content: cue.hash, step: anchor },
    });
  }

  /** Lets time pass, in steps no longer than the server's. */
  wait(ms: number, stepMs = 20): void {
    const until = this.atMs + ms;
    while (this.atMs < until) {
      this.atMs = Math.min(until, this.atMs + stepMs);
      for (const due of this.state.due.filter((each) => each.atMs <= this.atMs))
        this.#apply(decideTimer(this.state, { kind: "due", due }, this.#context()));
    }
  }

  on(layerId: string): string | null {
    return pageAt(this.state.slots[layerId] ?? [], this.atMs)?.cueId ?? null;
  }

  #context() {
    return {
      atMs: this.atMs,
      startAtMs: this.atMs,
      cues: this.cues,
      findPlan: (id: string) => (id === STARTER_PLAN.id ? STARTER_PLAN : undefined),
      outputIds: ["wall", "stream"],
      compileStageNote: this.compileStageNote,
    };
  }

  #apply(decision: Decision): string | null {
    if ("refused" in decision) return decision.refused;
    for (const event of decision.events) {
      this.kinds.push(event.kind);
      const logged: LoggedEvent = { seq: this.state.seq + 1, atMs: this.atMs, actor: DESK, event };
      this.logged.push(logged);
      this.state = evolve(this.state, logged);
    }
    showStateSchema.parse(this.state);
    return null;
  }
}
