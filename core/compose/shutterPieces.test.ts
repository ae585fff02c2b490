import { describe, expect, test } from "vitest";
import { DESK, openedState, prepareBench, readyCues, strap } from "../../test-support/contents.ts";
import { STARTER_OUTPUTS } from "../../test-support/designs.ts";
import type { CueDoc } from "../rundown/cueDoc.ts";
import { stepsOf } from "../rundown/steps.ts";
import type { AirEvent } from "../show/events.ts";
import { evolve } from "../show/evolve.ts";
import type { ShowState } from "../show/state.ts";
import { stateUnderPlan } from "../show/stateAfterTake.ts";
import { FALLBACK_FONTS } from "../text/fontList.ts";
import type { Output } from "../venue/plan.ts";
import { composeTimeline } from "./compose.ts";
import { createDresser } from "./dress.ts";
import { type Placement, placementsAt } from "./placements.ts";
import { SHUTTER_MS } from "./shutterPieces.ts";

const bench = prepareBench();
const [WALL, STREAM] = STARTER_OUTPUTS as [Output, Output];
const SHUT_MS = 20_000;
const OPEN_MS = 30_000;

function apply(state: ShowState, ...events: AirEvent[]): ShowState {
  return events.reduce((now, event) => evolve(now, { seq: now.seq + 1, atMs: 0, actor: DESK, event }), state);
}

function withStrap(more: Partial<CueDoc> = {}): ShowState {
  const [cue] = readyCues(bench, [{ ...strap("Ilse"), ...more } as CueDoc]);
  const step = cue && stepsOf(cue.content)[0]?.anchor;
  if (!cue || !step) throw new Error("no strap");
  const target = { cueId: cue.cueId, content: cue.hash, step };
  return apply(openedState(), {
    kind: "taken",
    takeId: "take-the-strap",
    target,
    cueIndex: 0,
    words: null,
    line: "moves",
    layerId: "titles",
    page: target,
    outputIds: null,
    how: "cut",
    startAtMs: 1_000,
    endsAtMs: null,
    lastsMs: 10_000,
    effectMs: null,
  });
}

const shut = (picture: "black" | null, startAtMs: number): AirEvent => ({
  kind: "shut",
  outputIds: ["wall", "stream"],
  picture,
  byAll: true,
  startAtMs,
});

function placed(state: ShowState, output: Output, atMs: number): Placement[] {
  const dress = createDresser(bench.documents, bench.shaper, FALLBACK_FONTS, "UTC");
  return placementsAt(composeTimeline(state, output, dress), atMs, output);
}

describe("shutters", () => {
  test("black fades in over an opaque output, stands, and fades out; what is beneath goes on", () => {
    const state = apply(withStrap(), shut("black", SHUT_MS), shut(null, OPEN_MS));
    const cover = (atMs: number) => placed(state, WALL, atMs).find(({ id }) => id.startsWith("shutter/"));
    expect(cover(SHUT_MS - 1)).toBeUndefined();
    expect(cover(SHUT_MS + SHUTTER_MS / 2)?.pose.opacity).toBeCloseTo(0.5, 6);
    expect(cover(SHUT_MS + SHUTTER_MS)?.pose.opacity).toBe(1);
    expect(placed(state, WALL, SHUT_MS + SHUTTER_MS).at(-1)).toEqual(cover(SHUT_MS + SHUTTER_MS));
    expect(cover(OPEN_MS + SHUTTER_MS / 2)?.pose.opacity).toBeCloseTo(0.5, 6);
    expect(cover(OPEN_MS + SHUTTER_MS)).toBeUndefined();
    const beneath = (atMs: number) => placed(state, WALL, atMs).filter(({ id }) => id.startsWith("titles@"));
    expect(beneath(25_000)).toEqual(beneath(15_000));
  });

  test("an output that lies over another picture fades away as a whole, and comes back", () => {
    const state = apply(withStrap(), shut("black", SHUT_MS), shut(null, OPEN_MS));
    const seen = (atMs: number) => placed(state, STREAM, atMs).map(({ kind, pose }) => [kind, pose.opacity]);
    expect(seen(SHUT_MS - 1)).toEqual([["group", 1]]);
    expect(seen(SHUT_MS + SHUTTER_MS + 1)).toEqual([]);
    expect(seen(OPEN_MS + SHUTTER_MS)).toEqual([["group", 1]]);
  });
});

describe("what is next, as shown before", () => {
  test("is drawn with the screens as shut as they will be, from the press on, and open once they are opened", () => {
    const over = (state: ShowState, atMs: number) =>
      placed(stateUnderPlan(state, state.plan, atMs), WALL, atMs).filter(({ id }) =>
        id.startsWith("shutter/"),
      );
    const isShut = apply(withStrap(), shut("black", SHUT_MS));
    expect(over(isShut, SHUT_MS).map(({ pose }) => pose.opacity)).toEqual([1]);
    expect(over(apply(isShut, shut(null, OPEN_MS)), OPEN_MS)).toEqual([]);
  });
});

describe("density", () => {
  test("a layer's and a cue's opacity multiply", () => {
    const full = placed(withStrap(), STREAM, 15_000).map(({ pose }) => pose.opacity);
    const layer = openedState().layers.find(({ id }) => id === "titles");
    if (!layer) throw new Error("no titles layer");
    const faint = apply(withStrap({ opacity: 0.5 }), { kind: "layerSet", layer: { ...layer, opacity: 0.4 } });
    expect(full.length).toBeGreaterThan(0);
    expect(placed(faint, STREAM, 15_000).map(({ pose }) => pose.opacity)).toEqual(
      full.map((opacity) => expect.closeTo(opacity * 0.2, 6)),
    );
  });
});
