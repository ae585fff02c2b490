import { expect, test } from "vitest";
import { DESK, prepareBench, readyCues, song } from "../../test-support/contents.ts";
import { stepsOf } from "../rundown/steps.ts";
import type { AirEvent, LoggedEvent } from "../show/events.ts";
import { tellStory } from "./airStory.ts";

const bench = prepareBench();

test("the log is told in words: what was brought, taken off and said; what nobody sees is left out", () => {
  const [cue] = readyCues(bench, [
    song("[V1]\nNine bells\nand no wind\n\n[C]\nCarry it low\n", { full: 2, band: 2 }),
  ]);
  const step = cue && stepsOf(cue.content)[0];
  if (!cue || !step) throw new Error("no song");
  const target = { cueId: cue.cueId, content: cue.hash, step: step.anchor };
  const events: AirEvent[] = [
    { kind: "armed", target, isJump: false, over: null },
    {
      kind: "taken",
      takeId: "t",
      target,
      cueIndex: 0,
      words: null,
      line: "moves",
      layerId: "words",
      page: target,
      outputIds: ["wall"],
      how: "cut",
      startAtMs: 0,
      endsAtMs: null,
      lastsMs: 0,
      effectMs: null,
    },
    {
      kind: "cleared",
      takeId: null,
      layerIds: ["words", "titles"],
      outputIds: null,
      why: "clear",
      how: "animated",
      startAtMs: 0,
    },
    { kind: "shut", outputIds: ["wall"], picture: null, byAll: false, startAtMs: 0 },
    { kind: "dueHeld", due: { kind: "follow", cueId: "c", atMs: 0 }, why: "late" },
  ];
  const log = events.map((event, i): LoggedEvent => ({ seq: i + 1, atMs: i * 1_000, actor: DESK, event }));
  const lines = tellStory(log, {
    findContent: (hash) => (hash === cue.hash ? cue.content : undefined),
    layerName: (id) => id.toUpperCase(),
    sourceName: (id) => `source ${id}`,
    outputName: (id) => `the ${id}`,
  });
  expect(lines.map(({ seq, what, words }) => [seq, what, words])).toEqual([
    [2, "Take, only the wall, cut", `A song · ${step.label} · Nine bells / and no wind`],
    [3, "Clear", "WORDS, TITLES"],
    [4, "Picture again", "the wall"],
    [5, "Held", "its time had passed"],
  ]);
  expect(lines[0]).toMatchObject({ atMs: 1_000, who: DESK });
});
