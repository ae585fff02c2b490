import * as fc from "fast-check";
import { describe, expect, test } from "vitest";
import { DESK, openedState, prepareBench, readyCues, song, strap } from "../../test-support/contents.ts";
import { STARTER_PLAN } from "../../test-support/designs.ts";
import type { CueDoc } from "../rundown/cueDoc.ts";
import type { ReadyCue } from "../rundown/readyCue.ts";
import { stepsOf } from "../rundown/steps.ts";
import type { Command } from "./commands.ts";
import { decide } from "./decide.ts";
import { evolve } from "./evolve.ts";
import { isFilled, slotOn } from "./layers.ts";
import { planNeededAt } from "./planNeed.ts";
import { pageAt } from "./slot.ts";
import { type ShowState, showStateSchema } from "./state.ts";
import { stateAfterTake } from "./stateAfterTake.ts";

const OTHER = { ...STARTER_PLAN, id: "other", name: "Other" };
const bench = prepareBench();

function submit(state: ShowState, command: Command, cues: readonly ReadyCue[], atMs: number) {
  const decision = decide(state, command, {
    atMs,
    startAtMs: atMs,
    cues: cues,
    clips: [],
    compileStageNote: () => undefined,
    findPlan: (id) => [STARTER_PLAN, OTHER].find((plan) => plan.id === id),
    outputIds: ["wall", "stream"],
    sparedIds: [],
    evening: { day: "", startsAt: "", endsAt: "" },
    actor: DESK,
  });
  if ("refused" in decision) return { state, refused: decision.refused };
  let next = state;
  for (const event of decision.events)
    next = evolve(next, { seq: next.seq + 1, atMs, actor: DESK, actId: command.id, event });
  return { state: showStateSchema.parse(next), refused: null };
}

const undoOf = (state: ShowState): Command => ({
  kind: "undo",
  id: `undo-${state.seq}-it`,
  actId: state.acts.at(-1)?.actId ?? "none",
});

const targetOf = (cue: ReadyCue, step = 0) => ({
  cueId: cue.cueId,
  content: cue.hash,
  step: (stepsOf(cue.content)[step] as ReturnType<typeof stepsOf>[number]).anchor,
});

function takeOf(state: ShowState, cue: ReadyCue | undefined, step = 0): Command {
  if (!cue) throw new Error("no such cue");
  const id = `take-number-${state.airRevision}`;
  return { kind: "take", id, how: "animated", builtOn: state.airRevision, target: targetOf(cue, step) };
}

const seenOn = (state: ShowState, outputId: string, atMs: number) =>
  pageAt(slotOn(state, "titles", outputId), atMs)?.cueId ?? null;

describe("cues limited to chosen outputs", () => {
  const cues = () =>
    readyCues(bench, [
      strap("Ilse"),
      { ...strap("Noor"), only: ["stream"] } as CueDoc,
      { ...strap("Brisa"), only: ["porch"] } as CueDoc,
      strap("Odhran"),
    ]);

  test("the others keep what they show; the next cue for all comes to all", () => {
    const all = cues();
    let { state } = submit(openedState(), takeOf(openedState(), all[0]), all, 1_000);
    state = submit(state, takeOf(state, all[1]), all, 2_000).state;
    expect([seenOn(state, "wall", 3_000), seenOn(state, "stream", 3_000)]).toEqual(["cue-1", "cue-2"]);
    const undone = submit(state, undoOf(state), all, 3_000).state;
    expect([seenOn(undone, "wall", 4_000), seenOn(undone, "stream", 4_000)]).toEqual(["cue-1", "cue-1"]);
    const after = submit(state, takeOf(state, all[0]), all, 4_000).state;
    expect([seenOn(after, "wall", 5_000), seenOn(after, "stream", 5_000)]).toEqual(["cue-1", "cue-1"]);
    const back = submit(after, undoOf(after), all, 5_000).state;
    expect([seenOn(back, "wall", 6_000), seenOn(back, "stream", 6_000)]).toEqual(["cue-1", "cue-2"]);
  });

  test("out and clear take it off everywhere", () => {
    const all = cues();
    const { state } = submit(openedState(), takeOf(openedState(), all[1]), all, 1_000);
    expect(isFilled(state, "titles", 2_000)).toBe(true);
    expect(seenOn(state, "wall", 2_000)).toBeNull();
    for (const command of [
      { kind: "out", id: "out-now-please", layerId: "titles", how: "animated" },
      { kind: "clear", id: "clear-now-please", how: "animated" },
    ] as const)
      expect(isFilled(submit(state, command, all, 2_000).state, "titles", 3_000)).toBe(false);
  });

  test("a cue for screens that are all gone is refused in a sentence", () => {
    const all = cues();
    expect(submit(openedState(), takeOf(openedState(), all[2]), all, 1_000).refused).toBe("noSuchOutput");
  });

  test("seed 2611: each output shows the last take that was meant for it, what is shown before is what comes, and slots of their own are given up", () => {
    const all = cues();
    const press = fc.record({
      cue: fc.integer({ min: 0, max: 1 }),
      waitMs: fc.integer({ min: 1, max: 9_000 }),
    });
    fc.assert(
      fc.property(fc.array(press, { maxLength: 30 }), (presses) => {
        let state = openedState();
        let atMs = 1_000;
        const meant: Record<string, string | null> = { wall: null, stream: null };
        for (const { cue, waitMs } of presses) {
          atMs += waitMs;
          const ready = all[cue] as ReadyCue;
          const foreseen = stateAfterTake(state, targetOf(ready), all, atMs, []);
          state = submit(state, takeOf(state, ready), all, atMs).state;
          for (const id of ready.content.only ?? ["wall", "stream"]) meant[id] = ready.cueId;
          for (const id of ["wall", "stream"]) {
            expect(seenOn(state, id, atMs)).toBe(meant[id]);
            expect(seenOn(foreseen, id, atMs)).toBe(meant[id]);
          }
        }
        for (const cue of [all[3], all[0], all[3]]) {
          atMs += 20_000;
          state = submit(state, takeOf(state, cue), all, atMs).state;
        }
        expect(state.overrides).toEqual({});
      }),
      { seed: 2611, numRuns: 60 },
    );
  });
});

describe("a plan from a step on", () => {
  const cues = () => {
    const plain = song("a\nb\n\nc\nd\n\ne\nf", { full: 2, band: 2 });
    const steps = stepsOf(readyCues(bench, [plain])[0]?.content as ReadyCue["content"]);
    const step = (steps[1] as (typeof steps)[number]).anchor;
    return readyCues(bench, [{ ...plain, stepPlans: [{ step, planId: "other" }] } as CueDoc, strap("Ilse")]);
  };

  test("comes with the step that asks for it and with every later one, however it is reached", () => {
    const all = cues();
    const [cue] = all as [ReadyCue];
    expect(stepsOf(cue.content).map(({ anchor }) => planNeededAt(cue.content, anchor)?.id ?? null)).toEqual([
      null,
      ...stepsOf(cue.content)
        .slice(1)
        .map(() => "other"),
    ]);
    const first = submit(openedState(), takeOf(openedState(), cue, 0), all, 1_000).state;
    expect(first.plan.id).toBe(STARTER_PLAN.id);
    // A jump over the step that asks for the plan cannot leave it behind.
    expect(submit(first, takeOf(first, cue, 2), all, 2_000).state.plan.id).toBe("other");
    const second = submit(first, takeOf(first, cue, 1), all, 2_000).state;
    const undone = submit(second, undoOf(second), all, 3_000).state;
    expect(undone.plan.id).toBe(STARTER_PLAN.id);
  });
});
