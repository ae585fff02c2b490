import { expect, test } from "vitest";
import { FIELD_SETS } from "../../test-support/designs.ts";
import { actionCue, cueDocSchema, pageCue, readingCue, remarkCue, songCue } from "./cueDoc.ts";
import { emptied } from "./ofTheDay.ts";

const fieldSets = new Map(FIELD_SETS.map((fieldSet) => [fieldSet.id, fieldSet]));
const kept = {
  start: { kind: "with" },
  plannedMs: 60_000,
  tag: "bell",
  plan: { id: "usual", otherwise: "switch" },
  only: ["wall"],
} as const;

test.each([
  pageCue({
    ...kept,
    only: ["wall"],
    fieldSet: "name",
    values: { name: "Ilse", role: "net mender" },
    template: "Small",
    note: "wave",
    picks: { names: "Noor Halvard" },
  }),
  songCue({
    ...kept,
    only: ["wall"],
    title: "Nine Bells",
    text: "V1\nNine bells",
    lines: { full: 3 },
    stageNote: "slow",
  }),
  readingCue({ ...kept, only: ["wall"], reference: "Ps 23", text: "web", numbers: false }),
  remarkCue({ ...kept, only: ["wall"], text: "Lights down" }),
  actionCue({ ...kept, only: ["wall"], title: "Off", clear: ["words"] }),
])("a cue of the day ($kind) is emptied of its words, and keeps its place among the others", (doc) => {
  const bare = emptied(doc, fieldSets);
  expect(cueDocSchema.parse(bare)).toEqual(bare);
  expect(bare).toMatchObject({ ...kept, kind: doc.kind, note: "", stageNote: "", isOfTheDay: true });
  const said = JSON.stringify(bare);
  for (const word of ["Ilse", "net mender", "Nine", "Ps 23", "Lights", "wave", "slow", "Noor"])
    expect(said).not.toContain(word);
  if (bare.kind === "page") expect(bare).toMatchObject({ template: "Small", values: {} });
  if (bare.kind === "song") expect(bare.lines).toEqual({ full: 3 });
  if (bare.kind === "reading") expect(bare).toMatchObject({ text: "web", numbers: false });
  if (bare.kind === "action") expect(bare.clear).toEqual(["words"]);
});
