import { describe, expect, test } from "vitest";
import { Clocked } from "../../test-support/clocked.ts";
import { page, prepareBench, readyCues, song, strap } from "../../test-support/contents.ts";
import { stepsOf } from "../rundown/steps.ts";

const bench = prepareBench();
/** Three backdrops, a song of three sections, a strap, a song, and a song once more. */
const evening = () =>
  new Clocked(
    readyCues(bench, [
      page("backdrop", { name: "Quay" }),
      page("backdrop", { name: "Loft" }),
      page("backdrop", { name: "Slip" }),
      song("[Verse 1]\na\n\n[Chorus]\nb\n\n[Verse 2]\nc"),
      strap("Ilse"),
      song("[Verse 1]\nd"),
      song("[Verse 1]\ne"),
    ]),
  );
const [SONG, STRAP, SECOND, THIRD] = [3, 4, 5, 6];

function turning(turns: "hand" | "song" | "section"): Clocked {
  const clocked = evening();
  const layer = clocked.state.layers.find(({ id }) => id === "backdrop");
  if (!layer) throw new Error("There is no backdrop");
  const { how, opacity, persistent, effectMs } = layer;
  clocked.press({
    kind: "setLayer",
    id: "turn-the-layer",
    layerId: "backdrop",
    how,
    opacity,
    persistent,
    effectMs,
    turns,
  });
  clocked.take(0);
  return clocked;
}
const backdrop = (clocked: Clocked) =>
  clocked.cues.findIndex(({ cueId }) => cueId === clocked.on("backdrop"));

describe("backdrops in turn", () => {
  test("with each song after the first the next comes, in a dissolve, at the very beat of the words", () => {
    const clocked = turning("song");
    clocked.take(SONG);
    expect(backdrop(clocked)).toBe(0);
    clocked.take(SONG, 1);
    clocked.take(STRAP);
    expect(backdrop(clocked)).toBe(0);
    clocked.take(SECOND);
    expect(backdrop(clocked)).toBe(1);
    const [words, turned] = clocked.logged
      .flatMap(({ event }) => (event.kind === "taken" ? [event] : []))
      .slice(-2);
    expect(turned).toMatchObject({
      layerId: "backdrop",
      how: "dissolve",
      line: "apart",
      startAtMs: words?.startAtMs,
    });
    clocked.take(THIRD);
    clocked.take(SONG);
    // After the last the first again.
    expect(backdrop(clocked)).toBe(0);
  });

  test("with each section, and not with a step of the same", () => {
    const clocked = turning("section");
    clocked.take(SONG);
    expect(backdrop(clocked)).toBe(0);
    clocked.take(SONG, 1);
    expect(backdrop(clocked)).toBe(1);
    clocked.take(SONG, 2);
    expect(backdrop(clocked)).toBe(2);
    clocked.take(SONG, 2);
    expect(backdrop(clocked)).toBe(2);
  });

  test("one press undoes both, and what came is no aside that the line could go on from", () => {
    const clocked = turning("song");
    clocked.take(SONG);
    clocked.take(SECOND);
    expect(clocked.state.line.asides).toEqual([]);
    clocked.undo();
    expect(backdrop(clocked)).toBe(0);
    expect(clocked.on("words")).toBe(clocked.cues[SONG]?.cueId);
  });

  test("it goes on from what a hand has put there; where a hand has taken it off, nothing comes", () => {
    const clocked = turning("song");
    clocked.take(SONG);
    clocked.take(2);
    clocked.take(SECOND);
    expect(backdrop(clocked)).toBe(0);
    clocked.press({ kind: "out", id: "backdrop-out", layerId: "backdrop", how: "cut" });
    clocked.take(THIRD);
    expect(clocked.on("backdrop")).toBeNull();
  });

  test("by hand nothing turns; at a cut it comes at once", () => {
    const still = turning("hand");
    still.take(SONG);
    still.take(SECOND);
    expect(backdrop(still)).toBe(0);
    const clocked = turning("song");
    clocked.take(SONG);
    const cue = clocked.cues[SECOND];
    const [step] = cue ? stepsOf(cue.content) : [];
    if (!cue || !step) throw new Error("There is no second song");
    const target = { cueId: cue.cueId, content: cue.hash, step: step.anchor };
    const builtOn = clocked.state.airRevision;
    clocked.press({ kind: "take", id: "a-cut-of-the-test", how: "cut", builtOn, target });
    expect(clocked.logged.at(-1)?.event).toMatchObject({ layerId: "backdrop", how: "cut" });
  });
});
