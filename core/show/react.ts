import type { Happening } from "../triggers/happening.ts";
import { clipTimesThatCame } from "../triggers/whens/clip.ts";
import { timeThatCame } from "../triggers/whens/time.ts";
import { endsIt, sayWhen, setsOff, type When } from "../triggers/whens.ts";
import type { Actor } from "./actor.ts";
import type { Decision } from "./decideContext.ts";
import {
  actorOf,
  decideDelayed,
  decideFiring,
  decideHeld,
  type Firing,
  type TriggerContext,
} from "./decideTrigger.ts";
import type { AirEvent } from "./events.ts";
import { evolve } from "./evolve.ts";
import { type Due, OVERDUE_MS } from "./followAndRepeat.ts";
import { happeningsOf } from "./happenings.ts";
import type { ShowState } from "./state.ts";

/** What is written down together, and who did it. */
export interface Written {
  readonly actor: Actor;
  readonly events: readonly AirEvent[];
}

/** Triggers that one happening may set off, each other's included; a venue with more has made a mistake. */
const MOST_FIRINGS = 200;

/** Something that happened, and the triggers that led to it. */
interface Caused {
  readonly happening: Happening;
  readonly chain: readonly string[];
}

/**
 * What triggers do about what happened, in order: what comes goes before what leaves, so that one page takes the place of another
 * instead of both moving. What they do may set others off.
 */
export function react(
  state: ShowState,
  happenings: readonly Happening[],
  context: TriggerContext,
): Written[] {
  return new Reaction(state, context).answer(
    happenings.map((happening) => ({ happening, chain: chainOf(state, happening) })),
  );
}

/** What a trigger does whose delay is over, and what comes of that. */
export function reactToDue(
  state: ShowState,
  due: Extract<Due, { kind: "trigger" }>,
  context: TriggerContext,
): Written[] {
  const reaction = new Reaction(state, context);
  const trigger = context.triggers.find(({ id }) => id === due.triggerId);
  const actor: Actor = { kind: "trigger", id: due.triggerId, name: due.name.slice(0, 40) };
  const drop = (why: "late" | "gone" | "done"): AirEvent => ({ kind: "dueHeld", due, why });
  if (context.atMs - due.atMs > OVERDUE_MS) return reaction.write(actor, [drop("late")], due.chain);
  if (!trigger?.isOn) return reaction.write(actor, [drop("gone")], due.chain);
  const { why, setSeq, chain } = due;
  const decision = decideDelayed(state, { trigger, isEnd: false, why, chain, setSeq }, { ...context, actor });
  return reaction.write(actor, [drop("done"), ...eventsOf(decision)], [...chain, trigger.id]);
}

class Reaction {
  #state: ShowState;
  readonly #context: TriggerContext;
  readonly #written: Written[] = [];
  #firings = 0;

  constructor(state: ShowState, context: TriggerContext) {
    this.#state = state;
    this.#context = context;
  }

  answer(caused: readonly Caused[]): Written[] {
    for (const { isLate, ...firing } of this.#firingsOf(caused)) {
      if (++this.#firings > MOST_FIRINGS) break;
      const actor = actorOf(firing.trigger, this.#context.names);
      const decision = isLate
        ? decideHeld(firing, "late", this.#context)
        : decideFiring(this.#state, firing, { ...this.#context, actor });
      this.write(actor, eventsOf(decision), [...firing.chain, firing.trigger.id]);
    }
    return this.#written;
  }

  /** Writes down what was decided, and answers to what comes of it. */
  write(actor: Actor, events: readonly AirEvent[], chain: readonly string[]): Written[] {
    if (events.length === 0) return this.#written;
    this.#written.push({ actor, events });
    const caused: Caused[] = [];
    for (const event of events) {
      const before = this.#state;
      this.#state = evolve(before, {
        seq: before.seq + 1,
        atMs: this.#context.atMs,
        actor,
        actId: null,
        event,
      });
      for (const happening of happeningsOf(before, this.#state, event)) caused.push({ happening, chain });
    }
    return caused.length > 0 ? this.answer(caused) : this.#written;
  }

  #firingsOf(caused: readonly Caused[]): (Firing & { readonly isLate: boolean })[] {
    const { triggers, names, atMs } = this.#context;
    const setSeq = this.#state.seq;
    const fire = (isEnd: boolean) =>
      caused.flatMap(({ happening, chain }) =>
        triggers.flatMap((trigger) => {
          const { when, isOn } = trigger;
          if (!isOn || !(isEnd ? endsIt(when, happening) : setsOff(when, happening))) return [];
          const cameMs = whenCame(when, happening);
          const isLate = cameMs !== undefined && atMs - cameMs > OVERDUE_MS;
          return [{ trigger, isEnd, why: sayWhen(when, names).slice(0, 300), chain, setSeq, isLate }];
        }),
      );
    return [...fire(false), ...fire(true)];
  }
}

/** When something came that hangs on the clock, server time. */
function whenCame(when: When, happening: Happening): number | undefined {
  if (when.kind === "time") return timeThatCame(when, happening);
  return when.kind === "clip" ? clipTimesThatCame(when, happening).at(-1) : undefined;
}

const eventsOf = (decision: Decision): readonly AirEvent[] => ("events" in decision ? decision.events : []);

/** What leaves by itself was brought by somebody: a trigger that brought it is not to be set off by its leaving without end. */
function chainOf({ triggers }: ShowState, happening: Happening): readonly string[] {
  if (happening.kind !== "cue" || happening.isOn) return [];
  for (const [triggerId, { cueId, chain }] of Object.entries(triggers.put))
    if (cueId === happening.cueId) return [...chain, triggerId];
  return [];
}
