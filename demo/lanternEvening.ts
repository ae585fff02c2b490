import {
  type CueDoc,
  pageCue,
  type ReadingDoc,
  readingCue,
  type SongDoc,
  songCue,
} from "../core/rundown/cueDoc.ts";
import { NO_ADJUSTMENT } from "../core/scene/adjustment.ts";
import type { Output, ScreenPlan } from "../core/venue/plan.ts";
import { NO_CREDITS } from "../core/words/credits.ts";
import { type SongFields, songOf } from "../core/words/songFields.ts";
import { HARBOUR_LAMP } from "../designs/houseStyles.ts";
import type { Seed, SeedMedia } from "../designs/seed.ts";
import { ALL_OUTFITS } from "../designs/starter.ts";
import { FIVE_OUTPUTS, FIVE_PLAN, STARTER_LAYERS } from "../designs/starterScreens.ts";
import { DEMO_COMMENTS, DEMO_FEEDS, FED_PAGES, RUNNING_PAGES } from "./feeds.ts";
import { DEMO_CLIPS, DEMO_MAPPINGS, DEMO_SOURCES, DEMO_TRIGGERS } from "./follow.ts";
import { CLOCK_AT_EDGE, letBe } from "./letBe.ts";
import { CARRY_THE_LAMP_DOWN, HARBOUR_KIND, NINE_BELLS, PUERTO_AMABLE } from "./songs.ts";

interface More {
  readonly stayMs?: number;
  readonly template?: string;
}

const page = (fieldSet: string, values: Record<string, string>, { stayMs, template }: More = {}): CueDoc =>
  pageCue({ fieldSet, values, template: template ?? null, stayMs: stayMs ?? null });
const strap = (name: string, role: string, template?: string): CueDoc =>
  page("name", { name, role }, { stayMs: 8_000, ...(template ? { template } : {}) });
/** Comes when a camera comes to program, and leaves with it. */
const atSource = (sourceId: string, cue: CueDoc): CueDoc => ({
  ...cue,
  comesWith: { sourceId, delayMs: 500, stays: false },
});
const librarySong = (id: string, title: string, text: string, more: Partial<SongFields> = {}) => ({
  id,
  song: { ...songOf(title, text), language: "en", ...more },
});
const LIBRARY = [
  librarySong("demo-song-lamp", "Carry the Lamp Down", CARRY_THE_LAMP_DOWN, {
    credits: { ...NO_CREDITS, publisher: "Merrow Quay singers", year: "2026", number: "Q-0017" },
  }),
  librarySong("demo-song-harbour", "Harbour Kind", HARBOUR_KIND, {
    second: { language: "es", text: PUERTO_AMABLE },
    credits: { ...NO_CREDITS, publisher: "Merrow Quay singers", year: "2025" },
  }),
  librarySong("demo-song-bells", "Nine Bells, No Wind", NINE_BELLS, {
    credits: { ...NO_CREDITS, writers: "Traditional on the quay", publicDomain: true },
  }),
];
const song = (id: string, more: Partial<SongDoc> = {}): CueDoc => {
  const known = LIBRARY.find((candidate) => candidate.id === id);
  if (!known) throw new Error(`The demo has no song "${id}"`);
  return songCue({ ...known.song, source: { songId: id, revision: 1 }, ...more });
};
const reading = (reference: string, more: Partial<ReadingDoc> = {}): CueDoc =>
  readingCue({ reference, text: "web", ...more });

const media = (id: string, name: string, file: string, more: Partial<SeedMedia> = {}): SeedMedia => ({
  id,
  name,
  file: `demo/media/${file}`,
  poster: null,
  key: null,
  ...more,
});

const MEDIA: readonly SeedMedia[] = [
  media("demo-upper-slip", "The upper slip, winter", "upper-slip.jpg"),
  media("demo-lantern-mark", "Lantern mark", "lantern-mark.png"),
  media("demo-badge-lamp", "Lamp badge", "badge-lamp.png"),
  media("demo-badge-star", "Star badge", "badge-star.png"),
  media("demo-badge-bell", "Bell badge", "badge-bell.png"),
  media("demo-badge-flag", "Flag badge", "badge-flag.png"),
  media("demo-harbour-night", "Harbour at night", "harbour-night.webm", {
    poster: "demo/media/harbour-night.jpg",
  }),
  media("demo-lanterns-rise", "Lanterns rise", "lanterns-rise.webm", {
    poster: "demo/media/lanterns-rise.png",
  }),
  media("demo-paper-boat", "Paper boat", "paper-boat.webm", {
    poster: "demo/media/paper-boat.png",
    key: { color: "#15aa45", tolerance: 0.3, softness: 0.22, spill: 0.9 },
  }),
];

/** For the walk to the water: the street screens count down, the hall keeps to pictures. */
const WALK_PLAN: ScreenPlan = {
  id: "walk",
  name: "Walk",
  outputs: {
    ...FIVE_PLAN.outputs,
    wall: { outfitId: "full", layerIds: ["backdrop", "picture", "ticker", "corner"] },
    stream: { outfitId: "full", layerIds: STARTER_LAYERS.map(({ id }) => id) },
  },
};

/** Where the screens hang in the Net Loft, and how far they are seen. The stream is in no room. */
const IN_THE_LOFT: Readonly<Record<string, Partial<Output>>> = {
  wall: {
    name: "Loft wall",
    farthestM: 12,
    pictureHeightM: 2.8,
    place: { xM: 10, yM: 0.5, facingDeg: 0 },
  },
  stream: { safeArea: "ebu" },
  ribbon: { farthestM: 9, pictureHeightM: 0.6, place: { xM: 19.5, yM: 7, facingDeg: 90 } },
  porch: { farthestM: 5, pictureHeightM: 1.66, place: { xM: 2.5, yM: 13.5, facingDeg: 180 } },
  singers: { farthestM: 4, pictureHeightM: 0.7, place: { xM: 5.5, yM: 4.5, facingDeg: 180 } },
};

const STREETS = "Ropewalk|142\nKiln Lane|118\nUpper Slip|97\nGannet Steps|64\nTarbarrel Row|51";
const LATER = "Kiln Lane|171\nRopewalk|168\nUpper Slip|120\nTarbarrel Row|92\nGannet Steps|88";

/** The Lantern Evening at Merrow Quay: an invented harbour town's winter evening. */
export function lanternEvening(): Seed {
  return {
    show: {
      id: "lantern-evening",
      name: "Lantern Evening",
      place: "Merrow Quay",
      layers: STARTER_LAYERS,
      plan: FIVE_PLAN,
      otherPlans: [WALK_PLAN],
      outputs: FIVE_OUTPUTS.map((output) => ({ ...output, ...IN_THE_LOFT[output.id] })),
      outfits: ALL_OUTFITS,
      style: HARBOUR_LAMP,
      timeZone: "Europe/Lisbon",
      licence: "40118",
      startsAt: "19:00",
    },
    media: MEDIA,
    songs: LIBRARY,
    cues: [
      page("backdrop", { name: "Night harbour" }),
      page("corner", { mark: "Merrow Quay" }),
      page("title", { title: "Lantern Evening", subtitle: "The Net Loft, Merrow Quay" }),
      atSource("lectern", strap("Ilse Tarrow", "net mender")),
      song("demo-song-lamp", {
        plannedMs: 200_000,
        tag: "bell",
        note: "Singers stand at the second line.",
      }),
      strap("Odhran Vael", "harbour pilot", "Name, on a bar"),
      reading("Ps 107:23-30", { plannedMs: 120_000 }),
      strap("Brisa Quell", "lamp keeper", "Name, with a tab"),
      song("demo-song-harbour", {
        plannedMs: 180_000,
        waived: [
          { code: "missingCredit", place: "number", reason: "Its number comes with the next licence." },
        ],
      }),
      atSource("lectern", strap("Noor Halvard", "boat school")),
      reading("John 1:1-5", { second: { text: "rv1909", how: "beside" } }),
      atSource("singers", strap("Teodor Anselm", "leader of the quay singers")),
      song("demo-song-bells", { creditAt: "end", plannedMs: 240_000 }),
      letBe(
        page("crawl", {
          items:
            "Last ferry 22:40\nSoup in the sail room until ten\nHang lanterns on the harbour side\nThe walk to the water begins at 20:30, from Gannet Steps",
        }),
        CLOCK_AT_EDGE,
      ),
      page("standings", { heading: "Lanterns lit, by street", rows: STREETS }),
      page("standings", { heading: "Lanterns lit, by street", rows: LATER }),
      page("bars", { heading: "Lanterns lit", rows: LATER }, { stayMs: 10_000 }),
      page("picture", { picture: "demo-upper-slip", caption: "The upper slip, winter" }),
      page("loop", { clip: "demo-harbour-night", name: "Harbour at night" }),
      page("clip", { clip: "demo-lanterns-rise", caption: "Lanterns rise" }),
      page("clip", { clip: "demo-paper-boat", caption: "The boat school’s first boat" }),
      page("points", {
        points:
          "Lanterns are lit from Ropewalk down\nBoats go first, then the boat school\n\nKeep to the left on Gannet Steps\nSoup in the sail room afterwards",
        heading: "Walk to the water",
      }),
      page("nowNext", {
        now: "Nine Bells, No Wind",
        next: "Walk to the water",
        later: "Soup in the sail room",
      }),
      page("comment", {
        comment: "We can see the lanterns from the ferry. Keep them lit, we are nearly home!",
        from: "Mira, on the ferry",
      }),
      page("squeeze", {
        heading: "Street by street",
        body: "The harbour side is ahead by a window. There is still time to hang yours.",
      }),
      page("clock", { label: "Quay time" }),
      page("credit", {
        title: "Carry the Lamp Down",
        writers: "Words and tune: Merrow Quay singers",
        publisher: "Written for this evening",
        licence: "",
      }),
      page("note", { note: "Slower in the last verse: the ferry is late" }, { stayMs: 20_000 }),
      page("countdown", { to: "20:30", label: "The walk begins at 20:30" }),
      {
        ...page("roll", {
          lines:
            "Ilse Tarrow, nets\nOdhran Vael, harbour pilot\nBrisa Quell, lamps\nNoor Halvard, boat school\nTeodor Anselm, singers\nEverybody on Ropewalk\nThank you",
          heading: "With thanks",
        }),
        adjust: { lines: { ...NO_ADJUSTMENT, speed: { kind: "pxPerSecond", px: 84 } } },
      },
      page("standby", { title: "Walk to the water", subtitle: "20:30, meet at Gannet Steps" }),
      page("title", { title: "Walk to the water", subtitle: "20:30, meet at Gannet Steps" }),
      ...FED_PAGES,
      ...RUNNING_PAGES,
    ],
    feeds: DEMO_FEEDS,
    comments: DEMO_COMMENTS,
    sources: DEMO_SOURCES,
    triggers: DEMO_TRIGGERS,
    clips: DEMO_CLIPS,
    mappings: DEMO_MAPPINGS,
  };
}
