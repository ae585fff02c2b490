import { beforeAll, describe, expect, test } from "vitest";
import { OUTPUTS, openedState, page, prepareBench, readyCues } from "../../test-support/contents.ts";
import { flat } from "../../test-support/pages.ts";
import { PAGE_ANCHOR } from "../rundown/steps.ts";
import { addMoment, plainMoment } from "../show/slot.ts";
import type { ShowState } from "../show/state.ts";
import { FALLBACK_FONTS } from "../text/fontList.ts";
import { type LiveChains, pageTable } from "../values/liveChain.ts";
import type { Output } from "../venue/plan.ts";
import { composeTimeline } from "./compose.ts";
import { createDresser } from "./dress.ts";
import { placementsAt } from "./placements.ts";

const bench = prepareBench();
const [, STREAM] = OUTPUTS as readonly [Output, Output];
const binding = (text: string) =>
  ({ kind: "cell", feedId: "f", row: { by: "number", number: 1 }, text }) as const;

/** A page of a name and a role, both filled from a feed, on air since 20 s. */
function onAir() {
  const doc = {
    ...page("name", { name: "To be announced", role: "boat" }),
    bindings: { name: binding("{boat}") },
  };
  const [cue] = readyCues(bench, [doc as ReturnType<typeof page>]);
  if (!cue) throw new Error("It cannot be taken");
  const shown = { cueId: cue.cueId, content: cue.hash, step: PAGE_ANCHOR };
  const layerId = cue.content.layerId;
  const opened = openedState();
  const slots = { ...opened.slots, [layerId]: addMoment([], plainMoment(20_000, shown)) };
  const state: ShowState = { ...opened, slots };
  return { state, shown, table: pageTable(shown), layerId };
}
const dress = () => createDresser(bench.documents, bench.shaper, FALLBACK_FONTS, "UTC");
/** What is seen at an instant: what its plates show, and where. */
const seen = (state: ShowState, chains: LiveChains, atMs: number) =>
  flat(placementsAt(composeTimeline(state, STREAM, dress(), chains), atMs, STREAM)).map(
    ({ id: _, ...placement }) => JSON.stringify(placement),
  );

describe("a page that is filled from a feed", () => {
  let state: ShowState;
  let table: string;
  let layerId: string;
  beforeAll(() => {
    ({ state, table, layerId } = onAir());
  });
  const chains = (...moments: [atMs: number, name: string][]): LiveChains =>
    new Map([[table, moments.map(([atMs, name]) => ({ atMs, values: { name } }))]]);

  test("shows its own words until a value comes, then the value: the same picture as if it had been typed", () => {
    const own = seen(state, new Map(), 60_000);
    const typed = seen(state, chains([0, "To be announced"]), 60_000);
    expect(typed).toEqual(own);
    expect(seen(state, chains([0, "Merrow Lass"]), 60_000)).not.toEqual(own);
  });

  test("a change moves only what changed: the role stays the very same piece", () => {
    const timeline = composeTimeline(
      state,
      STREAM,
      dress(),
      chains([0, "Merrow Lass"], [40_000, "Kittiwake"]),
    );
    const starts = timeline.pieces.map(({ life }) => life.fromMs);
    expect(starts.filter((fromMs) => fromMs === 40_000)).toHaveLength(1);
    expect(starts.filter((fromMs) => fromMs === 20_000).length).toBeGreaterThan(1);
  });

  test("what changes faster than it moves is there at once, with nothing left of what it was; after a pause it moves again", () => {
    const quick = chains([0, "A"], [40_000, "B"], [40_100, "C"], [40_200, "D"], [45_000, "E"]);
    const rest = (name: string) => seen(state, chains([Number.NEGATIVE_INFINITY, name]), 90_000);
    // The first still moves.
    expect(seen(state, quick, 40_050)).not.toEqual(rest("B"));
    expect(seen(state, quick, 40_100)).toEqual(rest("C"));
    expect(seen(state, quick, 40_150)).toEqual(rest("C"));
    expect(seen(state, quick, 40_200)).toEqual(rest("D"));
    expect(seen(state, quick, 44_999)).toEqual(rest("D"));
    expect(seen(state, quick, 45_050)).not.toEqual(rest("E"));
    expect(seen(state, quick, 50_000)).toEqual(rest("E"));
  });

  test("a window that came later has the same picture at rest; values from before the take count at the take", () => {
    const long = seen(state, chains([0, "A"], [10_000, "B"], [40_000, "C"]), 90_000);
    expect(seen(state, chains([Number.NEGATIVE_INFINITY, "C"]), 90_000)).toEqual(long);
    expect(seen(state, chains([0, "A"], [10_000, "B"]), 60_000)).toEqual(
      seen(state, chains([0, "B"]), 60_000),
    );
  });

  test("what comes after it has left brings nothing back", () => {
    const slot = addMoment(state.slots[layerId] ?? [], plainMoment(50_000, null));
    const left = { ...state, slots: { ...state.slots, [layerId]: slot } };
    expect(seen(left, chains([0, "A"], [55_000, "B"]), 90_000)).toEqual([]);
    const stays = { ...state, slots: { ...state.slots } };
    stays.slots[layerId] = addMoment([], {
      ...plainMoment(20_000, (state.slots[layerId]?.[0]?.page ?? null) as never),
      endsAtMs: 30_000,
    });
    expect(seen(stays, chains([0, "A"], [35_000, "B"]), 90_000)).toEqual([]);
  });
});
