import { describe, expect, test } from "vitest";
import { Clocked } from "../../test-support/clocked.ts";
import { compile, page, prepareBench, readyCues, strap } from "../../test-support/contents.ts";
import { FIELD_SETS, STAGE_NOTE } from "../../test-support/designs.ts";
import { actionCue, type CueDoc, pageCue } from "../rundown/cueDoc.ts";
import type { ReadyCue } from "../rundown/readyCue.ts";
import { pageAt } from "./slot.ts";
import { contentsOf } from "./state.ts";

const bench = prepareBench();
const noted = (doc: CueDoc, stageNote: string): CueDoc => ({ ...doc, stageNote });

/** A show whose stage has a place for notes. */
function withStage(docs: readonly CueDoc[]): Clocked {
  const fieldSets = new Map(FIELD_SETS.map((fieldSet) => [fieldSet.id, fieldSet]));
  if (!fieldSets.has(STAGE_NOTE)) throw new Error("no fields for a note to the stage");
  return new Clocked(readyCues(bench, docs), (text) => {
    const content = compile(bench, pageCue({ fieldSet: STAGE_NOTE, values: { note: text } }));
    return { hash: `${text.length}`.padStart(64, "0"), content };
  });
}
const noteOn = ({ state, atMs }: Clocked) => pageAt(state.stageNote, atMs);

describe("a cue’s note to the stage", () => {
  test("comes with its take, and goes with the next cue’s", () => {
    const show = withStage([noted(strap("Ilse"), "slowly"), strap("Noor"), noted(strap("Odhran"), "louder")]);
    show.take(0);
    expect(noteOn(show)?.cueId).toBe("cue-1");
    expect(contentsOf(show.state)).toContain(noteOn(show)?.content);
    show.wait(1_000);
    show.take(1);
    expect(noteOn(show)).toBeNull();
    show.wait(1_000);
    show.take(2);
    expect(noteOn(show)?.cueId).toBe("cue-3");
  });

  test("comes and goes with undo like the rest of the take", () => {
    const show = withStage([noted(strap("Ilse"), "slowly"), strap("Noor")]);
    show.take(0);
    const first = noteOn(show);
    show.wait(500);
    show.take(1);
    show.undo();
    expect(noteOn(show)).toEqual(first);
    expect(show.on("titles")).toBe("cue-1");
  });

  test("a note that was typed outlives cues without one, until it is taken away", () => {
    const show = withStage([strap("Ilse"), noted(strap("Noor"), "stand")]);
    show.press({ kind: "stageNote", id: "typed-note", text: "Two more verses" });
    show.wait(500);
    show.take(0);
    expect(noteOn(show)?.cueId).toBe("stage-note");
    show.wait(500);
    show.take(1);
    expect(noteOn(show)?.cueId).toBe("cue-2");
    show.press({ kind: "stageNote", id: "no-more-note", text: "" });
    expect(noteOn(show)).toBeNull();
  });

  test("an action may have one; where no screen has a place, the take stands all the same", () => {
    const show = withStage([noted(actionCue({ title: "Wait" }), "pray")]);
    show.take(0);
    expect(noteOn(show)?.cueId).toBe("cue-1");
    const nowhere = new Clocked(readyCues(bench, [noted(strap("Ilse"), "slowly")]));
    expect(nowhere.take(0)).toBeNull();
    expect(noteOn(nowhere)).toBeNull();
    expect(nowhere.on("titles")).toBe("cue-1");
  });
});

describe("how long an effect takes", () => {
  test("is said by the cue, else by its layer, else by nobody", () => {
    const show = new Clocked(
      readyCues(bench, [
        strap("Ilse"),
        { ...strap("Noor"), effectMs: 300 } as CueDoc,
        page("title", { title: "A" }),
      ]),
    );
    const effect = (layerId: string) => show.state.slots[layerId]?.at(-1)?.effectMs;
    show.take(0);
    expect(effect("titles")).toBeNull();
    const layer = { how: "animated", opacity: 1, persistent: false } as const;
    show.press({ kind: "setLayer", id: "set-the-layer", layerId: "titles", ...layer, effectMs: 2_000 });
    expect(effect("titles")).toBeNull();
    show.wait(100);
    show.take(0);
    expect(effect("titles")).toBe(2_000);
    show.wait(100);
    show.take(1);
    expect(effect("titles")).toBe(300);
    show.take(2);
    expect(effect("words")).toBeNull();
    show.wait(100);
    show.press({ kind: "out", id: "out-of-titles", layerId: "titles", how: "dissolve" });
    expect(effect("titles")).toBe(2_000);
  });
});

test("the show’s stand-by is what it was when the screens were shut", () => {
  const show = new Clocked([] as ReadyCue[]);
  const picture = (letter: string) => ({ file: letter.repeat(64), widthPx: 1920, heightPx: 1080 });
  show.press({ kind: "setStandBy", id: "set-stand-by-1", picture: picture("a") });
  show.press({ kind: "shut", id: "shut-all-screens", outputIds: null, picture: "standBy" });
  show.press({ kind: "setStandBy", id: "set-stand-by-2", picture: picture("b") });
  expect(show.state.shutters.wall?.standBy).toEqual(picture("a"));
  expect(show.state.standBy).toEqual(picture("b"));
});
