import { describe, expect, test } from "vitest";
import {
  OUTPUTS,
  openedState,
  page,
  prepareBench,
  reading,
  readyCues,
  song,
  strap,
} from "../../test-support/contents.ts";
import { flat } from "../../test-support/pages.ts";
import { durationOf, type Track } from "../motion/track.ts";
import type { ReadyCue } from "../rundown/readyCue.ts";
import { stepsOf } from "../rundown/steps.ts";
import { allObjects } from "../scene/template.ts";
import { addMoment, type Slot } from "../show/slot.ts";
import type { ShowState } from "../show/state.ts";
import { stateAfterTake } from "../show/stateAfterTake.ts";
import { FALLBACK_FONTS } from "../text/fontList.ts";
import { canvasOf, type Output } from "../venue/plan.ts";
import { composeTimeline } from "./compose.ts";
import { createDresser } from "./dress.ts";
import type { Timeline } from "./piece.ts";
import { placementsAt as placedOn } from "./placements.ts";
import { stillUntil } from "./stillUntil.ts";

const bench = prepareBench();
const placementsAt = (timeline: Timeline, atMs: number) =>
  flat(placedOn(timeline, atMs, { widthPx: 1920, heightPx: 1080 }));
const [WALL, STREAM] = OUTPUTS as readonly [Output, Output];

interface Take {
  readonly cue: ReadyCue | undefined;
  readonly step?: number;
  readonly atMs: number;
  readonly how?: "animated" | "cut";
  readonly endsAtMs?: number;
}

/** A state whose slots hold these takes; a take of no cue empties the words layer. */
function stateOf(takes: readonly Take[]): ShowState {
  const state = openedState();
  const slots: Record<string, Slot> = { ...state.slots };
  for (const { cue, step = 0, atMs, how = "animated", endsAtMs = null } of takes) {
    const anchor = cue && stepsOf(cue.content)[step]?.anchor;
    const layerId = cue?.content.layerId ?? "words";
    const page = cue && anchor ? { cueId: cue.cueId, content: cue.hash, step: anchor } : null;
    slots[layerId] = addMoment(slots[layerId] ?? [], {
      startAtMs: atMs,
      page,
      how,
      endsAtMs,
      lastsMs: 10_000,
      effectMs: null,
    });
  }
  return { ...state, slots };
}

const timelineOf = (takes: readonly Take[], output: Output): Timeline =>
  composeTimeline(
    stateOf(takes),
    output,
    createDresser(bench.documents, bench.shaper, FALLBACK_FONTS, "UTC"),
  );

const SONG =
  "Verse 1\nThe tide has gone\nthe slip is dark\nwe carry down\nto bring it home\n\nVerse 2\nThe ropewalk\nthe steps";

describe("what an output shows", () => {
  test("same template: the bar stays as one piece, only the words change, and both are seen while they cross", () => {
    const [cue] = readyCues(bench, [song(SONG)]);
    const timeline = timelineOf(
      [
        { cue, atMs: 20_000 },
        { cue, step: 1, atMs: 40_000 },
      ],
      STREAM,
    );
    const pieces = (name: string) => timeline.pieces.filter(({ id }) => id.includes(`/${name}/`));
    expect(pieces("panel")).toHaveLength(1);
    expect(pieces("panel")[0]?.life.until).toBeNull();
    expect(pieces("words")).toHaveLength(2);
    const crossing = placementsAt(timeline, 40_150).filter(({ id }) => id.includes("/words/"));
    expect(crossing).toHaveLength(2);
    expect(placementsAt(timeline, 45_000).filter(({ id }) => id.includes("/words/"))).toHaveLength(1);
  });

  test("a step that changes only the band leaves the wall untouched", () => {
    const [cue] = readyCues(bench, [song(SONG)]);
    const before = timelineOf([{ cue, atMs: 20_000 }], WALL);
    const after = timelineOf(
      [
        { cue, atMs: 20_000 },
        { cue, step: 1, atMs: 40_000 },
      ],
      WALL,
    );
    expect(after.pieces.map(({ id, key }) => [id, key])).toEqual(
      before.pieces.map(({ id, key }) => [id, key]),
    );
    expect(after.pieces.every(({ life }) => life.until === null)).toBe(true);
  });

  test("another template: the old leaves as the new enters", () => {
    const [first, second] = readyCues(bench, [song(SONG), reading]);
    const timeline = timelineOf(
      [
        { cue: first, atMs: 20_000 },
        { cue: second, atMs: 40_000 },
      ],
      STREAM,
    );
    const panels = timeline.pieces.filter(({ id }) => id.includes("/panel/"));
    expect(panels.map(({ life }) => [life.fromMs, life.until?.atMs ?? null])).toEqual([
      [20_000, 40_000],
      [40_000, null],
    ]);
  });

  test("cut is at once; nothing on the layer is entered; a stay leaves by itself", () => {
    const [cue] = readyCues(bench, [strap("Ilse Tarrow", "net mender")]);
    const cut = timelineOf([{ cue, atMs: 1_000, how: "cut" }], STREAM);
    expect(placementsAt(cut, 999)).toEqual([]);
    expect(placementsAt(cut, 1_000).every(({ pose }) => pose.opacity === 1 && pose.clipRight === 0)).toBe(
      true,
    );
    const stay = timelineOf([{ cue, atMs: 1_000, endsAtMs: 9_000 }], STREAM);
    expect(placementsAt(stay, 8_999)).toHaveLength(4);
    expect(placementsAt(stay, 20_000)).toEqual([]);
    expect(stillUntil(stay, 5_000)).toBe(9_000);
    expect(stillUntil(stay, 1_100)).toBeNull();
    expect(stillUntil(stay, 30_000)).toBe(Number.POSITIVE_INFINITY);
  });

  test("a take in the middle of another motion continues without a jump", () => {
    const cues = readyCues(bench, [song(SONG), reading, strap("A"), strap("B", "b")]);
    const takes = [
      { cue: cues[0], atMs: 1_000 },
      { cue: cues[0], step: 1, atMs: 1_130 },
      { cue: cues[1], atMs: 1_260 },
      { cue: undefined, atMs: 1_390 },
    ];
    for (const output of [WALL, STREAM]) {
      const timeline = timelineOf(takes, output);
      for (const { atMs } of takes.slice(1)) {
        const before = new Map(
          placementsAt(timeline, atMs - 0.01).map(({ id, pose }) => [id, pose] as const),
        );
        for (const { id, pose } of placementsAt(timeline, atMs)) {
          const had = before.get(id);
          if (!had) continue;
          expect(Math.abs(had.opacity - pose.opacity)).toBeLessThan(0.01);
          expect(Math.abs(had.offsetYPx - pose.offsetYPx)).toBeLessThan(0.5);
        }
        // What is gone from one instant to the next had already faded.
        for (const [id, pose] of before)
          if (!placementsAt(timeline, atMs).some((other) => other.id === id))
            expect(pose.opacity).toBeLessThan(0.02);
      }
    }
  });

  test("joining late or reloading in mid-motion gives the same picture: it follows from state and time alone", () => {
    const [cue] = readyCues(bench, [song(SONG)]);
    const takes = [
      { cue, atMs: 1_000 },
      { cue, step: 2, atMs: 1_200 },
    ];
    const late = composeTimeline(
      JSON.parse(JSON.stringify(stateOf(takes))) as ShowState,
      STREAM,
      createDresser(bench.documents, bench.shaper, FALLBACK_FONTS, "UTC"),
    );
    expect(placementsAt(late, 1_321)).toEqual(placementsAt(timelineOf(takes, STREAM), 1_321));
  });

  test("old takes are forgotten without being seen to", () => {
    const [cue] = readyCues(bench, [song(SONG)]);
    const takes = Array.from({ length: 30 }, (_, i) => ({ cue, step: i % 3, atMs: 1_000 + i * 15_000 }));
    const state = stateOf(takes);
    expect(state.slots.words?.length).toBe(2);
    const timeline = timelineOf(takes, STREAM);
    const last = takes.at(-1)?.atMs ?? 0;
    const panel = placementsAt(timeline, last + 50).find(({ id }) => id.includes("/panel/"));
    expect(panel?.pose.opacity).toBe(1);
  });

  test("what is next, as shown before, is what stands after the take", () => {
    const cues = readyCues(bench, [song(SONG), strap("Ilse Tarrow", "net mender")]);
    const dress = createDresser(bench.documents, bench.shaper, FALLBACK_FONTS, "UTC");
    const now = stateOf([{ cue: cues[0], atMs: 1_000 }]);
    const target = { cueId: "cue-1", content: cues[0]?.hash ?? "", step: { occurrence: "V1", unit: 2 } };
    const foreseen = placementsAt(
      composeTimeline(stateAfterTake(now, target, cues, 5_000, []), STREAM, dress),
      5_000,
    );
    const taken = stateOf([
      { cue: cues[0], atMs: 1_000 },
      { cue: cues[0], step: 1, atMs: 5_000 },
    ]);
    const settled = placementsAt(composeTimeline(taken, STREAM, dress), 30_000);
    expect(
      foreseen.map((placed) => [placed.kind === "plate" ? placed.plate.key : placed.kind, placed.pose]),
    ).toEqual(
      settled.map((placed) => [placed.kind === "plate" ? placed.plate.key : placed.kind, placed.pose]),
    );
  });

  test("no motion of a shipped template is longer than older takes are kept for", () => {
    for (const document of bench.documents.values()) {
      if (document.kind !== "template") continue;
      for (const {
        object: { motion },
      } of allObjects(document))
        expect(
          durationOf([...motion.enter, ...motion.change.in, ...motion.change.out] as Track[]),
        ).toBeLessThanOrEqual(10_000);
    }
  });
});

describe("another screen plan", () => {
  const dresser = () => createDresser(bench.documents, bench.shaper, FALLBACK_FONTS, "UTC");
  const underNewPlan = (state: ShowState, plan: ShowState["plan"], atMs: number): ShowState => ({
    ...state,
    plan,
    planBefore: { plan: state.plan, untilMs: atMs },
  });
  const wordsOf = (timeline: Timeline, atMs: number) =>
    placementsAt(timeline, atMs).filter(({ id }) => id.includes("/words/")).length;

  test("a layer that goes from an output leaves as its template says, and stays on the others untouched", () => {
    const [cue] = readyCues(bench, [song(SONG)]);
    const state = stateOf([{ cue, atMs: 20_000 }]);
    const { stream, ...others } = state.plan.outputs;
    const plan = {
      ...state.plan,
      id: "other",
      outputs: { ...others, stream: { outfitId: "band", layerIds: ["titles"] } },
    };
    expect(stream?.layerIds).toContain("words");
    const after = underNewPlan(state, plan, 40_000);
    const timeline = composeTimeline(after, STREAM, dresser());
    expect(wordsOf(timeline, 39_000)).toBe(1);
    expect(wordsOf(timeline, 40_100)).toBe(1);
    expect(wordsOf(timeline, 45_000)).toBe(0);
    expect(composeTimeline(after, WALL, dresser()).pieces).toEqual(
      composeTimeline(state, WALL, dresser()).pieces,
    );
  });

  test("another outfit is another template: the old leaves while the new enters", () => {
    const [cue] = readyCues(bench, [song(SONG)]);
    const state = stateOf([{ cue, atMs: 20_000 }]);
    const plan = {
      ...state.plan,
      id: "other",
      outputs: { ...state.plan.outputs, stream: { outfitId: "full", layerIds: ["words"] } },
    };
    const timeline = composeTimeline(underNewPlan(state, plan, 40_000), STREAM, dresser());
    const panels = (atMs: number) =>
      placementsAt(timeline, atMs).filter(({ id }) => id.includes("/panel/")).length;
    expect([panels(39_000), panels(40_100), panels(45_000)]).toEqual([1, 1, 0]);
    expect([wordsOf(timeline, 39_000), wordsOf(timeline, 40_120), wordsOf(timeline, 45_000)]).toEqual([
      1, 2, 1,
    ]);
    // At rest it is what a show that had this plan all along shows.
    const rest = composeTimeline({ ...state, plan }, STREAM, dresser());
    const at = (from: Timeline) =>
      placementsAt(from, 50_000).map((placement) => ("plate" in placement ? placement.plate : null));
    expect(at(timeline)).toEqual(at(rest));
  });

  test("an output with no place in the new plan ends empty; one that is new there is filled", () => {
    const [cue] = readyCues(bench, [song(SONG)]);
    const state = stateOf([{ cue, atMs: 20_000 }]);
    const { stream, ...others } = state.plan.outputs;
    if (!stream) throw new Error("the starter plan has a stream");
    const gone = underNewPlan(state, { ...state.plan, outputs: others }, 40_000);
    expect(placementsAt(composeTimeline(gone, STREAM, dresser()), 45_000)).toEqual([]);
    const come = underNewPlan({ ...state, plan: { ...state.plan, outputs: others } }, state.plan, 40_000);
    expect(wordsOf(composeTimeline(come, STREAM, dresser()), 39_000)).toBe(0);
    expect(wordsOf(composeTimeline(come, STREAM, dresser()), 45_000)).toBe(1);
  });

  test("a part of a wall is laid out for the whole wall", () => {
    const [cue] = readyCues(bench, [song(SONG)]);
    const state = stateOf([{ cue, atMs: 20_000 }]);
    const half: Output = {
      ...WALL,
      widthPx: 960,
      region: { canvasWidthPx: 1920, canvasHeightPx: 1080, xPx: 960, yPx: 0 },
    };
    expect(composeTimeline(state, half, dresser()).pieces).toEqual(
      composeTimeline(state, WALL, dresser()).pieces,
    );
  });

  test("on two screens side by side the ground goes over both, and the words stand on each, off the seam", () => {
    const [backdrop, cue] = readyCues(bench, [page("backdrop", { name: "Night" }), song(SONG)]);
    const state = stateOf([
      { cue: backdrop, atMs: 10_000 },
      { cue, atMs: 20_000 },
    ]);
    const seen = (xPx: number) => {
      const half: Output = { ...WALL, region: { canvasWidthPx: 3840, canvasHeightPx: 1080, xPx, yPx: 0 } };
      const plates = placedOn(composeTimeline(state, half, dresser()), 60_000, canvasOf(half)).flatMap(
        (placement) => (placement.kind === "plate" ? [placement] : []),
      );
      const edges = plates.map(({ plate, x }) => {
        const { bounds } = plate.picture;
        return [x + bounds.x, x + bounds.x + bounds.width] as const;
      });
      const wide = edges.filter(([left, right]) => left <= 0 && right >= 3840);
      const others = edges.filter((edge) => !wide.includes(edge));
      return { wide: wide.length, others };
    };
    for (const xPx of [0, 1920]) {
      const { wide, others } = seen(xPx);
      expect(wide).toBeGreaterThan(0);
      expect(others.length).toBeGreaterThan(0);
      // Nothing but the ground crosses from one screen to the other.
      for (const [left, right] of others) {
        expect(left).toBeGreaterThanOrEqual(xPx - 1);
        expect(right).toBeLessThanOrEqual(xPx + 1921);
      }
    }
  });

  test.each([
    ["21:9", 2520, 1080],
    ["4:3", 1440, 1080],
    ["32:9 in one", 3840, 1080],
  ])("a screen of %s is filled to its edges", (_name, widthPx, heightPx) => {
    const [backdrop] = readyCues(bench, [page("backdrop", { name: "Night" })]);
    const state = stateOf([{ cue: backdrop, atMs: 10_000 }]);
    const screen: Output = { ...WALL, widthPx, heightPx };
    const ground = placedOn(composeTimeline(state, screen, dresser()), 60_000, screen).flatMap((placement) =>
      placement.kind === "plate" ? [placement] : [],
    )[0];
    if (!ground) throw new Error("no ground");
    const { bounds } = ground.plate.picture;
    expect(ground.x + bounds.x).toBeLessThanOrEqual(0);
    expect(ground.y + bounds.y).toBeLessThanOrEqual(0);
    expect(ground.x + bounds.x + bounds.width).toBeGreaterThanOrEqual(widthPx);
    expect(ground.y + bounds.y + bounds.height).toBeGreaterThanOrEqual(heightPx);
  });
});
