import { type Trigger, triggerSchema } from "../core/triggers/trigger.ts";
import { type Source, sourceSchema } from "../core/venue/source.ts";

const source = (id: string, fields: object): Source => sourceSchema.parse({ id, ...fields });
const scene = (name: string) => ({ kind: "scene", scene: name });

/** What stands in the Net Loft, at the inputs of the mixer that ships. */
export const DEMO_SOURCES: readonly Source[] = [
  source("lectern", {
    name: "Lectern",
    input: 1,
    who: "Ilse Tarrow, then Noor Halvard",
    picture: scene("lectern"),
  }),
  source("singers", { name: "Singers", input: 2, who: "Teodor Anselm", picture: scene("singers") }),
  source("room", { name: "Room", input: 3, picture: scene("room") }),
  source("quay", { name: "Quay", input: 4, who: "the ferry", picture: scene("quay") }),
  source("clips", {
    name: "Clips",
    input: 5,
    picture: { kind: "media", mediaId: "demo-harbour-night" },
  }),
  source("bars", { name: "Bars", input: 6, picture: { kind: "bars" } }),
];

/** Triggers of the Lantern Evening; cues by their places in it. */
export const DEMO_TRIGGERS: readonly Trigger[] = [
  triggerSchema.parse({
    id: "ferry-times",
    name: "Ferry times over the quay",
    when: { kind: "source", sourceId: "quay" },
    delayMs: 2_000,
    act: { kind: "take", cueId: "cue-0014" },
    stay: { kind: "open" },
    leavesWith: true,
  }),
  triggerSchema.parse({
    id: "ropewalk-200",
    name: "Ropewalk has two hundred",
    isOn: false,
    when: {
      kind: "value",
      feedId: "demo-lanterns",
      row: "Ropewalk",
      column: "lanterns",
      does: "rises",
      limit: 200,
    },
    onlyWhile: [{ kind: "empty", layerId: "titles" }],
    act: { kind: "take", cueId: "cue-0024" },
    stay: { kind: "for", ms: 8_000 },
  }),
  triggerSchema.parse({
    id: "walk-begins",
    name: "The walk begins",
    isOn: false,
    when: { kind: "time", at: "20:30:00" },
    act: { kind: "plan", planId: "walk" },
  }),
];
