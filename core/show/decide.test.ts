import * as fc from "fast-check";
import { describe, expect, test } from "vitest";
import { DESK, openedState, prepareBench, readyCues, song, strap } from "../../test-support/contents.ts";
import { STARTER_PLAN } from "../../test-support/designs.ts";
import { type CueDoc, pageCue } from "../rundown/cueDoc.ts";
import type { ReadyCue } from "../rundown/readyCue.ts";
import { stepsOf } from "../rundown/steps.ts";
import type { ScreenPlan } from "../venue/plan.ts";
import type { Actor } from "./actor.ts";
import type { Command } from "./commands.ts";
import { decide } from "./decide.ts";
import type { DecideContext } from "./decideContext.ts";
import { airEventSchema, type LoggedEvent } from "./events.ts";
import { evolve } from "./evolve.ts";
import { pageAt } from "./slot.ts";
import { type ShowState, showStateSchema } from "./state.ts";

/** A plan in which the stream shows nothing, and the wall the band. */
const WALL_ALONE: ScreenPlan = {
  id: "alone",
  name: "Wall alone",
  outputs: { wall: { outfitId: "band", layerIds: ["words"] } },
};
const bench = prepareBench();
const cues = () =>
  readyCues(bench, [strap("Ilse"), song("a\nb\nc\nd"), strap("Noor", "", 8_000), song("e\nf")]);

const OTHER_DESK: Actor = { kind: "desk", id: "another-desk", name: "Balcony" };

function contextAt(all: readonly ReadyCue[], atMs: number, actor: Actor): DecideContext {
  return {
    atMs,
    startAtMs: atMs + 20,
    cues: all,
    clips: [],
    compileStageNote: () => undefined,
    findPlan: (id) => [STARTER_PLAN, WALL_ALONE].find((plan) => plan.id === id),
    outputIds: ["wall", "stream"],
    sparedIds: [],
    evening: { day: "", startsAt: "", endsAt: "" },
    actor,
  };
}

const undoOf = (state: ShowState, id: string): Command => ({
  kind: "undo",
  id,
  actId: state.acts.at(-1)?.actId ?? "none",
});

function submit(
  state: ShowState,
  command: Command,
  all: readonly ReadyCue[],
  atMs: number,
  actor: Actor = DESK,
) {
  const decision = decide(state, command, contextAt(all, atMs, actor));
  if ("refused" in decision) return { state, logged: [] as LoggedEvent[], refused: decision.refused };
  const logged: LoggedEvent[] = [];
  let next = state;
  for (const event of decision.events) {
    const entry = { seq: next.seq + 1, atMs, actor, actId: command.id, event };
    logged.push(entry);
    next = evolve(next, entry);
  }
  return { state: next, logged, refused: null };
}

const take = (
  state: ShowState,
  cue: ReadyCue | undefined,
  step = 0,
  id = `take-${Math.trunc(state.airRevision)}-id`,
): Command => {
  const anchor = cue && stepsOf(cue.content)[step]?.anchor;
  if (!cue || !anchor) throw new Error("no such step");
  return {
    kind: "take",
    id,
    how: "animated",
    builtOn: state.airRevision,
    target: { cueId: cue.cueId, content: cue.hash, step: anchor },
  };
};

describe("decide and evolve", () => {
  test("seed 1108: any sequence of commands keeps the rules, and its log replays to the same state", () => {
    const all = cues();
    const command = fc.record({
      kind: fc.constantFrom(
        "take",
        "take",
        "take",
        "arm",
        "disarm",
        "out",
        "clear",
        "clearEverything",
        "undo",
      ),
      cue: fc.integer({ min: 0, max: all.length - 1 }),
      step: fc.integer({ min: 0, max: 2 }),
      layer: fc.constantFrom("words", "titles", "backdrop", "no-such-layer"),
      how: fc.constantFrom("animated" as const, "cut" as const),
      isStale: fc.boolean(),
      waitMs: fc.integer({ min: 0, max: 12_000 }),
    });
    fc.assert(
      fc.property(fc.array(command, { maxLength: 60 }), (wanted) => {
        let state = openedState();
        const log: LoggedEvent[] = [];
        let atMs = 1_000;
        for (const [i, w] of wanted.entries()) {
          atMs += w.waitMs;
          const cue = all[w.cue] as ReadyCue;
          const steps = stepsOf(cue.content);
          const target = {
            cueId: cue.cueId,
            content: cue.hash,
            step: (steps[w.step % steps.length] as (typeof steps)[number]).anchor,
          };
          const id = `command-${i}`;
          const asked: Command =
            w.kind === "take"
              ? {
                  kind: "take",
                  id,
                  target,
                  how: w.how,
                  builtOn: w.isStale ? state.airRevision - 1 : state.airRevision,
                }
              : w.kind === "arm"
                ? { kind: "arm", id, target }
                : w.kind === "out"
                  ? { kind: "out", id, layerId: w.layer, how: w.how }
                  : w.kind === "clear" || w.kind === "clearEverything"
                    ? { kind: w.kind, id, how: w.how }
                    : w.kind === "undo"
                      ? undoOf(state, id)
                      : { kind: "disarm", id };
          const before = JSON.stringify(state);
          const result = submit(state, asked, all, atMs);
          // Nothing is changed in place, and a refusal changes nothing at all.
          expect(JSON.stringify(state)).toBe(before);
          if (result.refused) expect(result.logged).toEqual([]);
          state = result.state;
          for (const { event } of result.logged) airEventSchema.parse(event);
          log.push(...result.logged);
          showStateSchema.parse(state);
          for (const slot of Object.values(state.slots)) {
            // One page at most is on a layer: the last moment; moments are in order and bounded.
            expect(slot.length).toBeLessThanOrEqual(8);
            expect([...slot].sort((a, b) => a.startAtMs - b.startAtMs)).toEqual(slot);
          }
        }
        let replayed = openedState();
        for (const logged of log) replayed = evolve(replayed, logged);
        expect(replayed).toEqual(state);
      }),
      { seed: 1108, numRuns: 120 },
    );
  });

  test("a take that arrives twice does nothing twice", () => {
    const all = cues();
    const once = submit(openedState(), take(openedState(), all[0]), all, 5_000);
    const twice = submit(once.state, take(openedState(), all[0]), all, 5_010);
    expect(twice.logged).toEqual([]);
    expect(twice.refused).toBeNull();
    expect(twice.state).toBe(once.state);
  });

  test("of two desks that press at once the first wins and the second is told", () => {
    const all = cues();
    const start = openedState();
    const first = submit(start, take(start, all[0], 0, "first-desk"), all, 5_000);
    const second = submit(first.state, take(start, all[2], 0, "second-desk"), all, 5_001, OTHER_DESK);
    expect(second.refused).toBe("airMoved");
    expect(second.state).toBe(first.state);
    // What the desk did itself is not another's.
    expect(submit(first.state, take(start, all[2], 0, "same-desk"), all, 5_001).refused).toBeNull();
  });

  test("a cue edited, or deleted, since it was seen is refused; one edited elsewhere is not", () => {
    const all = cues();
    const start = openedState();
    const edited = all.map((cue) => (cue.cueId === "cue-1" ? { ...cue, hash: "f".repeat(64) } : cue));
    expect(submit(start, take(start, all[0]), edited, 5_000).refused).toBe("contentMoved");
    expect(submit(start, take(start, all[0]), all.slice(1), 5_000).refused).toBe("cueGone");
    expect(submit(start, take(start, all[1]), edited, 5_000).refused).toBeNull();
  });

  test("arming never changes the air", () => {
    const all = cues();
    const start = submit(openedState(), take(openedState(), all[1]), all, 5_000).state;
    const { target } = take(start, all[2]) as Extract<Command, { kind: "take" }>;
    const armed = submit(start, { kind: "arm", id: "arming-it", target }, all, 6_000).state;
    expect(armed.slots).toBe(start.slots);
    expect(armed.airRevision).toBe(start.airRevision);
  });

  test("clear leaves what is persistent; clear everything does not; an empty layer is refused", () => {
    const [backdrop] = readyCues(bench, [pageCue({ fieldSet: "backdrop", values: { name: "Night" } })]);
    const all = [...cues(), { ...(backdrop as ReadyCue), cueId: "cue-9", index: 9 }];
    let state = openedState();
    state = submit(state, take(state, all[4]), all, 1_000).state;
    state = submit(state, take(state, all[1]), all, 2_000).state;
    expect(
      submit(state, { kind: "out", id: "out-titles", layerId: "titles", how: "cut" }, all, 2_500).refused,
    ).toBe("nothingThere");
    state = submit(state, { kind: "clear", id: "clear-it", how: "animated" }, all, 3_000).state;
    expect(pageAt(state.slots.words ?? [], 4_000)).toBeNull();
    expect(pageAt(state.slots.backdrop ?? [], 4_000)?.cueId).toBe("cue-9");
    state = submit(state, { kind: "clearEverything", id: "clear-all", how: "animated" }, all, 4_000).state;
    expect(pageAt(state.slots.backdrop ?? [], 5_000)).toBeNull();
  });

  test("undo puts back page, arm and place, once, and only while nothing came after", () => {
    const all = cues();
    const first = submit(openedState(), take(openedState(), all[1], 0), all, 1_000).state;
    const second = submit(first, take(first, all[1], 1), all, 2_000).state;
    const undone = submit(second, undoOf(second, "undo-it-1"), all, 3_000).state;
    expect(pageAt(undone.slots.words ?? [], 4_000)?.step).toEqual(
      pageAt(first.slots.words ?? [], 1_500)?.step,
    );
    expect(undone.line).toEqual(first.line);
    const empty = submit(undone, undoOf(undone, "undo-it-2"), all, 4_000).state;
    expect(pageAt(empty.slots.words ?? [], 5_000)).toBeNull();
    expect(submit(empty, undoOf(empty, "undo-it-3"), all, 5_000).refused).toBe("nothingToUndo");
    const clear: Command = { kind: "clear", id: "clear-it", how: "cut" };
    const cleared = submit(second, clear, all, 3_000, OTHER_DESK).state;
    const late = { ...undoOf(second, "undo-it-4") };
    expect(submit(cleared, late, all, 4_000).refused).toBe("undoTooLate");
  });

  test("a stay ends by itself, with no event", () => {
    const all = cues();
    const state = submit(openedState(), take(openedState(), all[2]), all, 1_000).state;
    const slot = state.slots.titles ?? [];
    expect(pageAt(slot, 9_019)?.cueId).toBe("cue-3");
    expect(pageAt(slot, 9_020)).toBeNull();
  });

  test("a log out of order, or without its beginning, is not guessed at", () => {
    const all = cues();
    const { logged } = submit(openedState(), take(openedState(), all[0]), all, 1_000);
    expect(() => evolve(undefined, logged[0] as LoggedEvent)).toThrow(/begins with "taken"/);
    expect(() => evolve(openedState(), { ...(logged[0] as LoggedEvent), seq: 9 })).toThrow(
      /Event 9 does not follow 1/,
    );
  });
});

describe("screen plans and test pictures", () => {
  const all = () =>
    readyCues(bench, [
      strap("Ilse"),
      { ...strap("Noor"), plan: { id: "alone", otherwise: "switch" } } as CueDoc,
      { ...strap("Brisa"), plan: { id: "alone", otherwise: "refuse" } } as CueDoc,
      { ...strap("Odhran"), plan: { id: "gone", otherwise: "switch" } } as CueDoc,
    ]);

  test("a plan is switched as one, and only from the air that was seen", () => {
    const state = openedState();
    const press: Command = {
      kind: "switchPlan",
      id: "switch-plan",
      planId: "alone",
      builtOn: state.airRevision,
    };
    const { state: next } = submit(state, press, all(), 1_000);
    expect(next.plan).toEqual(WALL_ALONE);
    expect(next.planBefore).toEqual({ plan: STARTER_PLAN, untilMs: 1_020 });
    expect(submit(next, press, all(), 2_000, OTHER_DESK).refused).toBe("airMoved");
    expect(
      submit(next, { ...press, planId: "nowhere", builtOn: next.airRevision }, all(), 2_000).refused,
    ).toBe("noSuchPlan");
  });

  test("a cue made for another plan switches to it in the same take, or is refused: never words on the wrong screens", () => {
    const cuesNow = all();
    const state = openedState();
    const taken = submit(state, take(state, cuesNow[1]), cuesNow, 1_000);
    expect(taken.logged.map(({ event }) => event.kind)).toEqual(["planSwitched", "taken"]);
    expect(taken.state.plan.id).toBe("alone");
    expect(submit(state, take(state, cuesNow[2]), cuesNow, 1_000).refused).toBe("wrongPlan");
    expect(submit(state, take(state, cuesNow[3]), cuesNow, 1_000).refused).toBe("noSuchPlan");
    // Under its plan it is taken like any other, and undoing the first brings the plan back too.
    expect(submit(taken.state, take(taken.state, cuesNow[2]), cuesNow, 2_000).state.plan.id).toBe("alone");
    const undone = submit(taken.state, undoOf(taken.state, "undo-take"), cuesNow, 3_000).state;
    expect(undone.plan).toEqual(STARTER_PLAN);
    expect(pageAt(undone.slots.titles ?? [], 4_000)).toBeNull();
  });

  test("test pictures come and go on the outputs they are for, and leave the air alone", () => {
    let state = openedState();
    const press = (outputIds: string[] | null, picture: "bars" | "grid" | null) => {
      state = submit(state, { kind: "test", id: "test-press", outputIds, picture }, all(), 1_000).state;
      return Object.fromEntries(Object.entries(state.tests).map(([id, { picture: shown }]) => [id, shown]));
    };
    const { airRevision } = state;
    expect(press(null, "bars")).toEqual({ wall: "bars", stream: "bars" });
    expect(press(["wall", "no-such"], "grid")).toEqual({ wall: "grid", stream: "bars" });
    expect(press(["stream"], null)).toEqual({ wall: "grid" });
    expect(press(null, null)).toEqual({});
    expect(state.airRevision).toBe(airRevision);
  });
});
