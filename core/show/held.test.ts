import { expect, test } from "vitest";
import { Clocked } from "../../test-support/clocked.ts";
import { page, prepareBench, readyCues, strap } from "../../test-support/contents.ts";
import type { CueDoc } from "../rundown/cueDoc.ts";
import { heldCues, showsAny } from "./held.ts";

const bench = prepareBench();

test("edits are held from the save to the send, and marked on the screens that show the cue", () => {
  const only = { ...strap("Ilse"), only: ["stream"] } as CueDoc;
  const show = new Clocked(readyCues(bench, [only, page("title", { title: "Evening" })]));
  const held = () => heldCues(show.state, show.cues, show.atMs);
  show.take(0);
  show.take(1);
  expect(held()).toEqual(new Set());
  show.cues = readyCues(bench, [
    { ...only, values: { name: "Ilsa", role: "" } } as CueDoc,
    page("title", { title: "Evening" }),
  ]);
  expect(held()).toEqual(new Set(["cue-1"]));
  expect(showsAny(show.state, "stream", held(), show.atMs)).toBe(true);
  expect(showsAny(show.state, "wall", held(), show.atMs)).toBe(false);
  show.press({ kind: "send", id: "send-what-is-held", layerId: null });
  expect(held()).toEqual(new Set());
  // What is gone from the rundown has nothing to be sent.
  show.cues = [];
  expect(held()).toEqual(new Set());
});
