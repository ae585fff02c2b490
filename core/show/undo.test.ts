import * as fc from "fast-check";
import { describe, expect, test } from "vitest";
import { Clocked } from "../../test-support/clocked.ts";
import { prepareBench, readyCues, song, strap } from "../../test-support/contents.ts";
import { STARTER_PLAN } from "../../test-support/designs.ts";
import type { CueDoc } from "../rundown/cueDoc.ts";
import type { ReadyCue } from "../rundown/readyCue.ts";
import { stepsOf } from "../rundown/steps.ts";
import type { ScreenPlan } from "../venue/plan.ts";
import type { Actor } from "./actor.ts";
import { slotOn } from "./layers.ts";
import { findNext } from "./next.ts";
import { pageAt } from "./slot.ts";

const bench = prepareBench();
const BALCONY: Actor = { kind: "desk", id: "another-desk", name: "Balcony" };
const OTHER: ScreenPlan = { ...STARTER_PLAN, id: "other", name: "Other" };

function show(): Clocked {
  const clocked = new Clocked(
    readyCues(bench, [
      song("[Verse 1]\nNine bells\n\n[Chorus]\nCarry it low"),
      strap("Ilse"),
      { ...strap("Noor"), only: ["stream"] } as CueDoc,
      strap("Brisa", "", 8_000),
      { ...strap("Odhran"), repeatMs: 5_000 } as CueDoc,
    ]),
  );
  clocked.plans = [OTHER];
  return clocked;
}

let presses = 0;
const id = () => `press-${presses++}`.padEnd(12, "-");

/** All that anybody sees of the air: pages, plan, shutters, tests, line, arm. */
function seen(clocked: Clocked) {
  const { state, atMs } = clocked;
  const on = (layerId: string, outputId: string) => {
    const page = pageAt(slotOn(state, layerId, outputId), atMs);
    return page && [page.cueId, page.step];
  };
  return {
    pages: state.layers.flatMap((layer) => ["wall", "stream"].map((output) => on(layer.id, output))),
    plan: state.plan.id,
    shut: Object.entries(state.shutters).flatMap(([output, { untilMs, picture }]) =>
      untilMs === null ? [[output, picture]] : [],
    ),
    tests: Object.entries(state.tests).map(([output, { picture }]) => [output, picture]),
    layers: state.layers,
    line: state.line,
    arm: state.arm?.target ?? null,
    standBy: state.standBy,
  };
}

/** Acts on air, each with what undo is to put back. */
const ACTS: readonly (readonly [name: string, act: (clocked: Clocked) => void])[] = [
  ["take", (clocked) => void clocked.take(0, 1)],
  ["take on one screen", (clocked) => void clocked.take(2)],
  ["out", (clocked) => clocked.press({ kind: "out", id: id(), layerId: "words", how: "animated" })],
  [
    "out on one screen",
    (clocked) =>
      clocked.press({ kind: "out", id: id(), layerId: "words", outputIds: ["wall"], how: "animated" }),
  ],
  ["clear", (clocked) => clocked.press({ kind: "clear", id: id(), how: "animated" })],
  ["clear all", (clocked) => clocked.press({ kind: "clearEverything", id: id(), how: "cut" })],
  [
    "plan",
    (clocked) =>
      clocked.press({ kind: "switchPlan", id: id(), planId: "other", builtOn: clocked.state.airRevision }),
  ],
  ["black", (clocked) => clocked.press({ kind: "shut", id: id(), outputIds: null, picture: "black" })],
  [
    "stand-by",
    (clocked) => clocked.press({ kind: "shut", id: id(), outputIds: ["wall"], picture: "standBy" }),
  ],
  ["test picture", (clocked) => clocked.press({ kind: "test", id: id(), outputIds: null, picture: "bars" })],
  [
    "layer settings",
    (clocked) =>
      clocked.press({
        kind: "setLayer",
        id: id(),
        layerId: "words",
        how: "cut",
        opacity: 0.5,
        persistent: true,
        effectMs: null,
      }),
  ],
  ["start over", (clocked) => clocked.press({ kind: "beginAnew", id: id() })],
  ["stand-by picture", (clocked) => clocked.press({ kind: "setStandBy", id: id(), picture: null })],
];

describe("undo", () => {
  test.each(ACTS)("puts back all that “%s” has changed", (_name, act) => {
    const clocked = show();
    clocked.take(0, 0);
    clocked.take(1);
    clocked.wait(1_000);
    const before = seen(clocked);
    const acts = clocked.state.acts.length;
    act(clocked);
    clocked.wait(1_000);
    if (clocked.state.acts.length > acts) clocked.undo();
    expect(seen(clocked)).toEqual(before);
  });

  test("seed 2207: any acts, undone one after another, lead back to where they began", () => {
    fc.assert(
      fc.property(fc.array(fc.nat(ACTS.length - 1), { minLength: 1, maxLength: 16 }), (picked) => {
        const clocked = show();
        clocked.take(0, 0);
        clocked.take(1);
        clocked.wait(500);
        const before = seen(clocked);
        const known = clocked.state.acts.length;
        for (const index of picked) {
          (ACTS[index] as (typeof ACTS)[number])[1](clocked);
          clocked.wait(300);
        }
        while (clocked.state.acts.length > known) {
          expect(clocked.undo()).toBeNull();
          clocked.wait(300);
        }
        expect(seen(clocked)).toEqual(before);
      }),
      { seed: 2207, numRuns: 150 },
    );
  });

  test("what came by itself since is not next again when the line is put back", () => {
    const clocked = show();
    clocked.take(0, 2);
    clocked.take(0, 0);
    clocked.timed(1);
    clocked.undo();
    expect(clocked.state.line.at?.step).toEqual(stepsOf((clocked.cues[0] as ReadyCue).content)[2]?.anchor);
    expect(clocked.state.line.asides.map(({ cueId }) => cueId)).toEqual(["cue-2"]);
    expect(findNext(clocked.state, clocked.cues)?.cueId).toBe("cue-3");
  });

  test("twenty levels, no more", () => {
    const clocked = show();
    for (let i = 0; i < 30; i++) {
      clocked.take(i % 2);
      clocked.wait(50);
    }
    expect(clocked.state.acts).toHaveLength(20);
  });

  test("what comes back goes on as if it had never left: it has been there since it first came, and its stay goes on", () => {
    const clocked = show();
    clocked.take(3);
    const cameAtMs = clocked.atMs;
    clocked.wait(3_000);
    clocked.press({ kind: "clear", id: id(), how: "animated" });
    clocked.wait(2_000);
    clocked.undo();
    const moment = clocked.state.slots.titles?.at(-1);
    expect(moment).toMatchObject({ sinceMs: cameAtMs, endsAtMs: cameAtMs + 8_000, resumes: true });
    clocked.wait(3_100);
    expect(clocked.on("titles")).toBeNull();
  });

  test("what would have left by itself by now does not come back", () => {
    const clocked = show();
    clocked.take(3);
    clocked.wait(3_000);
    clocked.press({ kind: "clear", id: id(), how: "animated" });
    clocked.wait(6_000);
    clocked.undo();
    expect(clocked.on("titles")).toBeNull();
  });

  test("a cue that comes again and again does so on its beat", () => {
    const clocked = show();
    clocked.take(4);
    const cameAtMs = clocked.atMs;
    clocked.wait(1_000);
    clocked.press({ kind: "clear", id: id(), how: "animated" });
    clocked.wait(6_000);
    clocked.undo();
    expect(clocked.state.due).toMatchObject([{ kind: "repeat", atMs: cameAtMs + 10_000 }]);
  });

  test("is refused only where somebody else changed the same place, by name", () => {
    const clocked = show();
    clocked.take(0, 0);
    const actId = clocked.state.acts.at(-1)?.actId ?? "";
    clocked.take(1, 0, { actor: BALCONY });
    // Another layer: nothing in the way.
    expect(clocked.press({ kind: "undo", id: id(), actId })).toBeNull();
    expect(clocked.on("titles")).toBe("cue-2");
    clocked.take(0, 0);
    const again = clocked.state.acts.at(-1)?.actId ?? "";
    clocked.press({ kind: "out", id: id(), layerId: "words", how: "cut" }, BALCONY);
    expect(clocked.press({ kind: "undo", id: id(), actId: again })).toBe("undoTooLate");
    expect(clocked.press({ kind: "undo", id: id(), actId: "no-such-act" })).toBe("nothingToUndo");
    // What the other did is undone: nothing stands in the way any more.
    expect(clocked.undo(BALCONY)).toBeNull();
    expect(clocked.press({ kind: "undo", id: id(), actId: again })).toBeNull();
  });
});

describe("black", () => {
  const shutOn = ({ state }: Clocked) =>
    Object.entries(state.shutters).flatMap(([output, { untilMs }]) => (untilMs === null ? [output] : []));
  const press = (clocked: Clocked, outputIds: string[] | null, picture: "black" | null) =>
    clocked.press({ kind: "shut", id: id(), outputIds, picture });

  test("with one screen black already it shuts the rest, and back opens what it shut", () => {
    const clocked = show();
    press(clocked, ["stream"], "black");
    press(clocked, null, "black");
    expect(shutOn(clocked).sort()).toEqual(["stream", "wall"]);
    press(clocked, null, null);
    expect(shutOn(clocked)).toEqual(["stream"]);
    press(clocked, null, null);
    expect(shutOn(clocked)).toEqual([]);
  });

  test("spares what the stage reads from, unless it is told", () => {
    const clocked = show();
    clocked.sparedIds = ["stream"];
    press(clocked, null, "black");
    expect(shutOn(clocked)).toEqual(["wall"]);
    press(clocked, ["stream"], "black");
    expect(shutOn(clocked).sort()).toEqual(["stream", "wall"]);
  });
});
