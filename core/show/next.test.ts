import { describe, expect, test } from "vitest";
import { prepareBench, readyCues, song, strap } from "../../test-support/contents.ts";
import { LEAVE_ANCHOR, PAGE_ANCHOR } from "../rundown/steps.ts";
import { NO_LINE } from "./line.ts";
import { findNeighbour, findNext } from "./next.ts";

const bench = prepareBench();
const cues = () => readyCues(bench, [strap("Ilse"), song("a\nb\nc\nd\n\ne\nf"), strap("Noor")]);
const at = (cueId: string, cueIndex: number, occurrence: string, unit = 0) => ({
  arm: null,
  line: { at: { cueId, cueIndex, step: { occurrence, unit }, words: null }, asides: [] },
});

describe("next", () => {
  test("is the first step of all at the start, then one after another over cues, and nothing at the end", () => {
    const all = cues();
    const taken: string[] = [];
    let state: Parameters<typeof findNext>[0] = { arm: null, line: NO_LINE };
    for (let i = 0; i < 20; i++) {
      const next = findNext(state, all);
      if (!next) break;
      taken.push(`${next.cueId} ${next.step.occurrence}${next.step.unit}`);
      const cueIndex = all.findIndex(({ cueId }) => cueId === next.cueId);
      state = {
        arm: null,
        line: { at: { cueId: next.cueId, cueIndex, step: next.step, words: null }, asides: [] },
      };
    }
    expect(taken).toEqual([
      "cue-1 page0",
      "cue-2 V10",
      "cue-2 V12",
      "cue-2 V20",
      "cue-2 leave0",
      "cue-3 page0",
    ]);
  });

  test("is the armed step, as long as it exists", () => {
    const all = cues();
    const [, second] = all;
    if (!second) throw new Error("no second cue");
    const target = { cueId: "cue-2", content: "0".repeat(64), step: LEAVE_ANCHOR };
    const by = { kind: "desk" as const, id: "someone-else" };
    const arm = { target, by, isJump: false, over: null };
    expect(findNext({ arm, line: NO_LINE }, all)).toEqual({ ...target, content: second.hash });
    const gone = { ...arm, target: { ...target, step: { occurrence: "B9", unit: 0 } } };
    expect(findNext({ arm: gone, line: NO_LINE }, all)?.cueId).toBe("cue-1");
  });

  test("when the cue on air is deleted, what stands in its place comes next", () => {
    const all = cues().filter(({ cueId }) => cueId !== "cue-2");
    expect(findNext(at("cue-2", 1, "V1"), all)?.cueId).toBe("cue-3");
  });

  test("neighbours run over the edges of cues and stop at both ends", () => {
    const all = cues();
    const first = { cueId: "cue-1", content: all[0]?.hash ?? "", step: PAGE_ANCHOR };
    expect(findNeighbour(first, -1, all)).toBeUndefined();
    expect(findNeighbour(first, 1, all)).toMatchObject({
      cueId: "cue-2",
      step: { occurrence: "V1", unit: 0 },
    });
    expect(findNeighbour({ ...first, cueId: "cue-3" }, -1, all)).toMatchObject({
      cueId: "cue-2",
      step: LEAVE_ANCHOR,
    });
  });
});
