import { describe, expect, test } from "vitest";
import { Clocked } from "../../test-support/clocked.ts";
import { prepareBench, readyCues, song, strap } from "../../test-support/contents.ts";
import { STARTER_PLAN } from "../../test-support/designs.ts";
import { actionCue, type CueDoc } from "../rundown/cueDoc.ts";
import type { ReadyCue } from "../rundown/readyCue.ts";
import { stepsOf } from "../rundown/steps.ts";
import type { ScreenPlan } from "../venue/plan.ts";
import type { Actor } from "./actor.ts";
import { findNext } from "./next.ts";

const bench = prepareBench();
const BALCONY: Actor = { kind: "desk", id: "another-desk", name: "Balcony" };
const SONG = "[Verse 1]\nNine bells\n\n[Chorus]\nCarry it low\n\n[Bridge]\nDown to the water";

/** A song of three sections, a strap, another song, a strap that follows. */
const show = () =>
  new Clocked(
    readyCues(bench, [
      song(SONG),
      strap("Ilse"),
      song("One line\n\nand another"),
      strap("Noor"),
      { ...strap("Brisa"), start: { kind: "after", ms: 500 } } as CueDoc,
      strap("Odhran"),
    ]),
  );

const cueAt = (clocked: Clocked, index: number) => clocked.cues[index] as ReadyCue;
const targetOf = (cue: ReadyCue, step: number) => ({
  cueId: cue.cueId,
  content: cue.hash,
  step: (stepsOf(cue.content)[step] as ReturnType<typeof stepsOf>[number]).anchor,
});
const arm = (clocked: Clocked, index: number, step: number, more: { actor?: Actor; isJump?: boolean } = {}) =>
  clocked.press(
    {
      kind: "arm",
      id: `arm-${clocked.state.seq}-it`,
      target: targetOf(cueAt(clocked, index), step),
      isJump: more.isJump,
    },
    more.actor,
  );
const next = ({ state, cues }: Clocked) => {
  const target = findNext(state, cues);
  return target ? `${target.cueId} ${target.step.occurrence}` : "";
};
const lineOf = ({ state }: Clocked) =>
  state.line.at && `${state.line.at.cueId} ${state.line.at.step.occurrence}`;

describe("the line", () => {
  test.each([
    ["at its time of day", (clocked: Clocked) => clocked.timed(1)],
    ["by a click in the script or from Find", (clocked: Clocked) => void clocked.take(1)],
    ["taken on another desk", (clocked: Clocked) => void clocked.take(1, 0, { actor: BALCONY })],
  ])("a strap %s during a song is an aside: line, next and arm stay", (_how, come) => {
    const clocked = show();
    clocked.take(0, 0);
    arm(clocked, 0, 2);
    come(clocked);
    expect(clocked.on("titles")).toBe("cue-2");
    expect(lineOf(clocked)).toBe("cue-1 V1");
    expect(next(clocked)).toBe("cue-1 B");
    expect(clocked.state.arm?.target.step.occurrence).toBe("B");
    expect(clocked.state.line.asides.map(({ cueId }) => cueId)).toEqual(["cue-2"]);
  });

  test("a strap that is armed over the bridge and taken gives the bridge its arm back", () => {
    const clocked = show();
    clocked.take(0, 0);
    arm(clocked, 0, 2);
    arm(clocked, 1, 0);
    expect(next(clocked)).toBe("cue-2 page");
    clocked.take(1, 0);
    expect(next(clocked)).toBe("cue-1 B");
    expect(lineOf(clocked)).toBe("cue-1 V1");
  });

  test("what is walked to along the script is a jump: it goes on from there", () => {
    const clocked = show();
    clocked.take(0, 0);
    arm(clocked, 1, 0, { isJump: true });
    clocked.take(1, 0);
    expect(lineOf(clocked)).toBe("cue-2 page");
    expect(next(clocked)).toBe("cue-3 V1");
    const other = show();
    other.take(0, 0);
    other.take(3, 0, { isJump: true });
    expect(lineOf(other)).toBe("cue-4 page");
  });

  test("another song on the line's own layer is a jump, and so is anything once the song is through", () => {
    const clocked = show();
    clocked.take(0, 0);
    clocked.take(2, 0);
    expect(lineOf(clocked)).toBe("cue-3 V1");
    const through = show();
    through.take(0, 3);
    through.take(3, 0);
    expect(lineOf(through)).toBe("cue-4 page");
  });

  test("what has come besides is not next again while the line is in its cue", () => {
    const clocked = show();
    clocked.take(0, 0);
    clocked.take(1, 0);
    for (const step of [1, 2, 3]) clocked.take(0, step);
    expect(next(clocked)).toBe("cue-3 V1");
    // Once the line has moved on, it may come again.
    clocked.take(2, 0);
    clocked.take(0, 3);
    expect(next(clocked)).toBe("cue-2 page");
  });

  test("what follows by itself comes besides, and the script goes on behind it", () => {
    const clocked = show();
    clocked.take(3, 0);
    clocked.wait(700);
    expect(clocked.on("titles")).toBe("cue-5");
    expect(lineOf(clocked)).toBe("cue-4 page");
    expect(next(clocked)).toBe("cue-6 page");
  });

  test("cues that come with a song leave the line in the song", () => {
    const clocked = new Clocked(
      readyCues(bench, [song(SONG), { ...strap("Ilse"), start: { kind: "with" } } as CueDoc, strap("Noor")]),
    );
    clocked.take(0, 0);
    expect(clocked.on("titles")).toBe("cue-2");
    expect(next(clocked)).toBe("cue-1 C");
    for (const step of [1, 2, 3]) clocked.take(0, step);
    expect(next(clocked)).toBe("cue-3 page");
  });

  test("before the first press what comes by itself leaves the script at its start", () => {
    const clocked = show();
    clocked.timed(1);
    expect(lineOf(clocked)).toBeNull();
    expect(next(clocked)).toBe("cue-1 V1");
  });

  test("“go on from here” makes an aside the line, and can be undone", () => {
    const clocked = show();
    clocked.take(0, 0);
    clocked.take(1, 0);
    clocked.press({ kind: "goOn", id: "go-on-from-it", cueId: "cue-2" });
    expect(lineOf(clocked)).toBe("cue-2 page");
    expect(next(clocked)).toBe("cue-3 V1");
    clocked.undo();
    expect(next(clocked)).toBe("cue-1 C");
    expect(clocked.on("titles")).toBe("cue-2");
    expect(clocked.press({ kind: "goOn", id: "go-on-from-nothing", cueId: "cue-6" })).toBeNull();
    expect(lineOf(clocked)).toBe("cue-1 V1");
  });

  test("an action out of order is an aside, unless it takes the line's page off", () => {
    const clocked = new Clocked(
      readyCues(bench, [song(SONG), actionCue({ clear: ["titles"] }), actionCue({ clear: ["words"] })]),
    );
    clocked.take(0, 0);
    clocked.take(1, 0);
    expect(lineOf(clocked)).toBe("cue-1 V1");
    clocked.take(2, 0);
    expect(lineOf(clocked)).toBe("cue-3 page");
  });

  test("a repeated cue counts its time from its last take", () => {
    const clocked = show();
    clocked.take(0, 0);
    clocked.wait(60_000);
    clocked.take(2, 0);
    clocked.wait(60_000);
    clocked.take(0, 0);
    expect(clocked.state.cueTimes["cue-1"]).toBe(clocked.atMs);
    clocked.wait(1_000);
    clocked.take(0, 1);
    expect(clocked.state.cueTimes["cue-1"]).toBe(clocked.atMs - 1_000);
  });
});

describe("plans along the line", () => {
  const OTHER: ScreenPlan = { ...STARTER_PLAN, id: "other", name: "Other" };
  const withPlans = () => {
    const clocked = new Clocked(
      readyCues(bench, [
        song(SONG),
        song(SONG, {}, { stepPlans: [{ step: { occurrence: "C", unit: 0 }, planId: "other" }] }),
        song("Any plan\n\nwill do"),
      ]),
    );
    clocked.plans = [OTHER];
    return clocked;
  };

  test("a jump carries the plan that the place needs, also where the cue says any", () => {
    const clocked = withPlans();
    clocked.take(0, 0);
    clocked.take(2, 0);
    expect(clocked.state.plan.id).toBe("other");
    // Back before the script asked for any: the plan that a hand chose.
    clocked.take(0, 1);
    expect(clocked.state.plan.id).toBe(STARTER_PLAN.id);
    clocked.take(1, 0);
    expect(clocked.state.plan.id).toBe(STARTER_PLAN.id);
    clocked.take(1, 1);
    expect(clocked.state.plan.id).toBe("other");
    clocked.take(1, 0);
    expect(clocked.state.plan.id).toBe(STARTER_PLAN.id);
  });

  test("the last key pressed decides: a plan chosen by hand stays until the script asks for another", () => {
    const clocked = withPlans();
    clocked.take(1, 1);
    clocked.press({
      kind: "switchPlan",
      id: "by-hand-now",
      planId: STARTER_PLAN.id,
      builtOn: clocked.state.airRevision,
    });
    clocked.take(2, 0);
    expect(clocked.state.plan.id).toBe(STARTER_PLAN.id);
  });

  test("an aside brings no plan that it does not ask for itself", () => {
    const clocked = new Clocked(
      readyCues(bench, [
        song(SONG),
        song(SONG, {}, { stepPlans: [{ step: { occurrence: "C", unit: 0 }, planId: "other" }] }),
        strap("Ilse"),
      ]),
    );
    clocked.plans = [OTHER];
    clocked.take(0, 0);
    clocked.take(2, 0);
    expect(clocked.state.plan.id).toBe(STARTER_PLAN.id);
    expect(clocked.on("titles")).toBe("cue-3");
  });
});
