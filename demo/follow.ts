import { clipSchema } from "../core/clips/clip.ts";
import type { ClipMapping } from "../core/clips/clipMapping.ts";
import { type Trigger, triggerSchema } from "../core/triggers/trigger.ts";
import { type Source, sourceSchema } from "../core/venue/source.ts";
import type { SeedClip } from "../designs/seed.ts";

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
    picture: { kind: "player" },
  }),
  source("bars", { name: "Bars", input: 6, picture: { kind: "bars" } }),
];

/** Which elements of the film circle's files are which fields. */
export const DEMO_MAPPINGS: readonly ClipMapping[] = [
  {
    id: "film-circle",
    name: "Film circle",
    fields: { title: "film/heading", by: "film/maker/name", year: "film/year" },
  },
];

const clip = (id: string, name: string, mediaId: string, more: object = {}): SeedClip => ({
  clip: clipSchema.parse({ id, name, mediaId, mappingId: "film-circle", ...more }),
  details: `demo/clips/${id}.xml`,
});

/** Films between the songs. */
export const DEMO_CLIPS: readonly SeedClip[] = [
  clip("lanterns-rise", "Lanterns rise", "demo-lanterns-rise", { atEnd: "next" }),
  clip("paper-boat", "Paper boat", "demo-paper-boat"),
  clip("harbour-night", "Harbour at night", "demo-harbour-night", { atEnd: "loop" }),
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
    id: "clip-titles",
    name: "The title of each film",
    when: { kind: "clip", clipId: "", does: "in", ms: 1_000 },
    onlyWhile: [{ kind: "source", sourceId: "clips" }],
    act: { kind: "take", cueId: "cue-0041" },
    stay: { kind: "for", ms: 3_000 },
    leavesWith: true,
  }),
  triggerSchema.parse({
    id: "walk-begins",
    name: "The walk begins",
    isOn: false,
    when: { kind: "time", at: "20:30:00" },
    act: { kind: "plan", planId: "walk" },
  }),
];
