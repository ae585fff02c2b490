import type { CueDoc, PageDoc, SongDoc } from "../core/rundown/cueDoc.ts";
import { AS_MADE, NO_ADJUSTMENT } from "../core/scene/adjustment.ts";
import { parseSong } from "../core/words/song.ts";
import type { Seed } from "../designs/seed.ts";
import { lanternEvening } from "./lanternEvening.ts";

interface PlantedFault {
  /** The code of the finding. */
  readonly code: string;
  /** The cue it is planted in, as the script numbers it. */
  readonly cue: number;
  readonly plant: (doc: CueDoc) => CueDoc;
}

const inPage =
  (change: (doc: PageDoc) => Partial<PageDoc>) =>
  (doc: CueDoc): CueDoc => {
    if (doc.kind !== "page") throw new Error(`A fault of pages is planted in a ${doc.kind}`);
    return { ...doc, ...change(doc) };
  };
const inSong =
  (change: (doc: SongDoc) => Partial<SongDoc>) =>
  (doc: CueDoc): CueDoc => {
    if (doc.kind !== "song") throw new Error(`A fault of songs is planted in a ${doc.kind}`);
    return { ...doc, ...change(doc) };
  };
const inField = (field: string, change: (words: string) => string) =>
  inPage(({ values }) => ({ values: { ...values, [field]: change(values[field] ?? "") } }));

/** The order in which a song is sung as its text has it. */
function orderIn({ text, title, told }: SongDoc): readonly string[] {
  const parsed = parseSong(text, title, { told });
  return "song" in parsed ? parsed.song.order : [];
}

/** Faults as hurried hands make them, each at one place of the demo. */
export const PLANTED_FAULTS: readonly PlantedFault[] = [
  {
    code: "tooSmall",
    cue: 3,
    plant: inPage(({ adjust }) => ({
      adjust: {
        ...adjust,
        title: { ...NO_ADJUSTMENT, scale: 0.2 },
        subtitle: { ...NO_ADJUSTMENT, scale: 0.4 },
      },
    })),
  },
  { code: "outsideSafe", cue: 4, plant: (doc) => ({ ...doc, whole: { ...AS_MADE, xPercent: -7 } }) },
  { code: "unknownSection", cue: 5, plant: inSong((doc) => ({ order: [...orderIn(doc), "Q7"].join(" ") })) },
  { code: "goneTemplate", cue: 6, plant: inPage(() => ({ template: "Name, of long ago" })) },
  { code: "clashingTimes", cue: 7, plant: (doc) => ({ ...doc, plannedAt: "19:01" }) },
  { code: "shortStay", cue: 8, plant: inPage(() => ({ stayMs: 500 })) },
  {
    code: "secondLanguage",
    cue: 9,
    plant: inSong(({ second }) => ({
      second: second && { ...second, text: second.text.trimEnd().split("\n").slice(0, -1).join("\n") },
    })),
  },
  {
    code: "goneSource",
    cue: 10,
    plant: (doc) => ({ ...doc, comesWith: { sourceId: "gone-camera", delayMs: 0, stays: false } }),
  },
  {
    code: "missingCredit",
    cue: 13,
    plant: inSong(({ credits }) => ({
      credits: { ...credits, publicDomain: false, publisher: "Quay", year: "2020" },
    })),
  },
  {
    code: "fastCrawl",
    cue: 14,
    plant: inPage(({ adjust }) => ({
      adjust: { ...adjust, items: { ...NO_ADJUSTMENT, speed: { kind: "pxPerFrame", px: 14 } } },
    })),
  },
  { code: "strayMark", cue: 18, plant: inField("caption", (words) => words.replace(",", " ,")) },
  { code: "missingMedia", cue: 19, plant: inField("clip", () => "a-clip-that-was-deleted") },
  { code: "doubledWord", cue: 22, plant: inField("heading", (words) => words.replace("the", "the the")) },
  { code: "mixedQuotes", cue: 24, plant: inField("comment", (words) => `“${words}” she said, and "yes"`) },
  { code: "gonePlan", cue: 29, plant: (doc) => ({ ...doc, plan: { id: "gone-plan", otherwise: "switch" } }) },
  {
    code: "spelling",
    cue: 30,
    plant: inField("lines", (words) => words.replace("Odhran Vael", "Odhran Vale")),
  },
  { code: "cannotBeTaken", cue: 31, plant: inField("title", () => "") },
  { code: "otherYear", cue: 32, plant: inField("subtitle", (words) => `${words}, 12 December 2019`) },
  {
    code: "unfilled",
    cue: 35,
    plant: inPage(({ bindings }) => ({
      bindings: Object.fromEntries(
        Object.entries(bindings).map(([field, binding]) => [
          field,
          field === "number" ? { ...binding, feedId: "gone-feed" } : binding,
        ]),
      ),
    })),
  },
  { code: "endlessRepeat", cue: 38, plant: (doc) => ({ ...doc, repeatMs: 60_000 }) },
];

/** The Lantern Evening with twenty faults in it. */
export function faultyEvening(): Seed {
  const seed = lanternEvening();
  const cues = [...seed.cues];
  for (const { cue, plant } of PLANTED_FAULTS) {
    const doc = cues[cue - 1];
    if (!doc) throw new Error(`The demo has no cue ${cue}`);
    cues[cue - 1] = plant(doc);
  }
  return { ...seed, cues };
}
