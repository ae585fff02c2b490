import Papa from "papaparse";
import { describe, expect, test } from "vitest";
import { compile, page, prepareBench, song, strap } from "../../test-support/contents.ts";
import { NO_CREDITS } from "../words/credits.ts";
import type { AsRunRow, CueRow } from "./asRunRow.ts";
import type { Beside } from "./beside.ts";
import { cuesCsv, shownCsv, songsCsv } from "./csvOf.ts";
import { onAirBy } from "./onAirBy.ts";
import { paceOf } from "./pace.ts";
import { pastLengths, sameAs } from "./pastLengths.ts";
import { RUN_GAP_MS, runsOf } from "./runs.ts";
import { type SongShown, songUse } from "./songUse.ts";
import { partsOf } from "./spans.ts";
import { summaryOf } from "./summary.ts";

const bench = prepareBench();
const MINUTE_MS = 60_000;

const row = (more: Partial<AsRunRow>): AsRunRow => ({
  ...{
    key: "k",
    seq: 1,
    fromMs: 0,
    untilMs: 1_000,
    layer: "Words",
    screens: ["Loft wall"],
    outputIds: ["wall"],
  },
  ...{ cueId: "cue-1", content: "a", step: { occurrence: "page", unit: 0 }, kind: "page", title: "Evening" },
  ...{
    part: "",
    words: "",
    by: "Desk 1",
    isByItself: false,
    isBrought: true,
    began: "take",
    ended: "",
    endedBy: "",
  },
  ...more,
});
const cueRow = (more: Partial<CueRow>): CueRow => ({
  ...{ key: "k", seq: 1, cueId: "cue-1", title: "Evening", fromMs: 0, tookMs: 0, isOpen: false },
  ...{ plannedAtMs: null, plannedMs: null, overMs: null },
  ...more,
});

describe("runs", () => {
  const at = (minutes: number, kind: "taken" | "cleared" | "begunAnew" | "showOpened" = "taken") => ({
    atMs: minutes * MINUTE_MS,
    kind,
  });

  test("a run is parted by starting over and by hours of nothing; the latest first", () => {
    expect(
      runsOf([at(0, "showOpened"), at(500), at(501), at(502, "begunAnew"), at(503), at(504, "cleared")]),
    ).toEqual([
      { fromMs: 503 * MINUTE_MS, untilMs: 504 * MINUTE_MS, takes: 1 },
      { fromMs: 500 * MINUTE_MS, untilMs: 501 * MINUTE_MS, takes: 2 },
    ]);
  });

  test("a break of three hours is in the run, one of a moment more begins another", () => {
    const gap = RUN_GAP_MS / MINUTE_MS;
    expect(runsOf([at(0), at(gap)])).toHaveLength(1);
    expect(runsOf([at(0), at(gap + 1)])).toHaveLength(2);
  });

  test("without a take there is none", () => {
    expect(runsOf([])).toEqual([]);
    expect(runsOf([at(0, "showOpened"), at(1, "cleared"), at(2, "begunAnew")])).toEqual([]);
  });
});

describe("parts of a stretch", () => {
  const stretch = { fromMs: 10, untilMs: 20, began: "b", ended: "e" };

  test("what is not wanted parts it; what touches is one; what has no length is none", () => {
    const spans = (...values: [fromMs: number, value: string][]) =>
      values.map(([fromMs, value], at) => ({ fromMs, value, cause: `c${at}` }));
    const wanted = (value: string) => value !== "no";
    expect(partsOf(stretch, spans([0, "a"]), wanted)).toEqual([stretch]);
    expect(partsOf(stretch, spans([0, "a"], [12, "no"], [15, "a"]), wanted)).toEqual([
      { fromMs: 10, untilMs: 12, began: "b", ended: "c1" },
      { fromMs: 15, untilMs: 20, began: "c2", ended: "e" },
    ]);
    expect(partsOf(stretch, spans([0, "a"], [12, "other"]), wanted)).toEqual([stretch]);
    expect(partsOf(stretch, spans([0, "no"], [20, "a"]), wanted)).toEqual([]);
    expect(partsOf(stretch, spans([0, "a"], [12, "no"], [12, "a"]), wanted)).toEqual([stretch]);
    expect(partsOf(stretch, [], wanted)).toEqual([]);
    expect(partsOf({ ...stretch, untilMs: null, ended: null }, spans([15, "a"]), wanted)).toEqual([
      { fromMs: 15, untilMs: null, began: "c0", ended: null },
    ]);
  });
});

describe("songs", () => {
  const sung = (more: Partial<SongShown>): SongShown => ({
    ...{ cueId: "cue-1", songId: "s", title: "Nine Bells", credits: NO_CREDITS, screens: ["Wall"] },
    ...{ fromMs: 0, untilMs: 60_000 },
    ...more,
  });

  test("one singing is all of its slides; after ten minutes it is another; screens at once count once", () => {
    const [use] = songUse([
      sung({ untilMs: 60_000 }),
      sung({ fromMs: 30_000, untilMs: 90_000, screens: ["Stream"] }),
      sung({ fromMs: 90_000 + 10 * MINUTE_MS, untilMs: 100_000 + 10 * MINUTE_MS }),
      sung({ fromMs: 100_001 + 20 * MINUTE_MS, untilMs: 110_001 + 20 * MINUTE_MS }),
    ]);
    expect(use).toMatchObject({ times: 2, shownMs: 110_000, screens: ["Wall", "Stream"], firstMs: 0 });
  });

  test("a song that was renamed is one; one of no library is known by its title and writers", () => {
    const of = (title: string, songId: string | null, writers = "") =>
      sung({ title, songId, credits: { ...NO_CREDITS, writers } });
    expect(songUse([of("Nine Bells", "s"), of("Nine Bells, No Wind", "s")])).toMatchObject([
      { title: "Nine Bells, No Wind", otherTitles: ["Nine Bells"] },
    ]);
    expect(
      songUse([of("Nine Bells", null, "A"), of("NINE BELLS!", null, "a"), of("Nine Bells", null, "B")]),
    ).toHaveLength(2);
  });

  test("what the report needs and nobody said is told; public domain needs no number", () => {
    const missing = (credits: SongShown["credits"]) => songUse([sung({ credits })])[0]?.missing;
    expect(missing(undefined)).toEqual(["writers", "number"]);
    expect(missing({ ...NO_CREDITS, writers: "Ilse Tarrow" })).toEqual(["number"]);
    expect(missing({ ...NO_CREDITS, writers: "Ilse Tarrow", publicDomain: true })).toEqual([]);
    expect(missing({ ...NO_CREDITS, writers: "Ilse Tarrow", number: "Q-17" })).toEqual([]);
  });

  test("a song’s content says who made it, from the fields and from its text", () => {
    const content = compile(
      bench,
      song(
        "Verse 1\na lamp\n\nWords: Ilse Tarrow\n© 2026 Net Loft Press",
        {},
        {
          credits: { ...NO_CREDITS, number: "Q-17" },
          source: { songId: "song-9", revision: 2 },
        },
      ),
    );
    expect(content.song).toEqual({
      ...{ songId: "song-9", writers: "Words: Ilse Tarrow", publisher: "Net Loft Press" },
      ...{ year: "2026", number: "Q-17", publicDomain: false },
    });
    expect(compile(bench, strap("Ilse")).song).toBeUndefined();
  });
});

describe("figures of an evening", () => {
  test("on air by name: what is on two screens, or lies over itself, counts once, and only within the evening", () => {
    const rows = [
      row({ fromMs: -5_000, untilMs: 10_000 }),
      row({ fromMs: 0, untilMs: 4_000, screens: ["Stream"] }),
      row({ fromMs: 8_000, untilMs: null }),
      row({ fromMs: 2_000, untilMs: 3_000, layer: "Titles" }),
    ];
    expect(onAirBy(rows, ({ layer }) => layer, { fromMs: 0, untilMs: 12_000 })).toEqual([
      ["Words", 12_000],
      ["Titles", 1_000],
    ]);
  });

  test("pace: a press that brings pages to several screens is one; what comes by itself is told apart", () => {
    const rows = [
      row({ seq: 1, fromMs: 10 }),
      row({ seq: 1, fromMs: 10, screens: ["Stream"] }),
      row({ seq: 2, fromMs: MINUTE_MS, isByItself: true }),
      row({ seq: 3, fromMs: -1 }),
      // Out of the black it was only seen again.
      row({ seq: 4, fromMs: 20, isBrought: false }),
    ];
    expect(paceOf(rows, 0, 2 * MINUTE_MS, MINUTE_MS)).toEqual([
      { fromMs: 0, takes: 1, byItself: 0 },
      { fromMs: MINUTE_MS, takes: 1, byItself: 1 },
    ]);
    expect(paceOf([], 0, 0, MINUTE_MS)).toHaveLength(1);
  });

  test("on one page: began, over, who, and what went wrong, the worst of each first", () => {
    const beside = (kind: Beside["kind"], about: string, amount: number | null, words: string): Beside => ({
      ...{ atMs: 500, kind, about, amount, words },
    });
    const report = {
      evening: "Lantern Evening",
      hasBeside: true,
      shown: [
        row({ seq: 1, fromMs: 0, untilMs: 5_000 }),
        row({ seq: 2, fromMs: 5_000, untilMs: null, by: "Desk 2" }),
      ],
      cues: [
        cueRow({ plannedAtMs: -2_000, plannedMs: 4_000, tookMs: 5_000, overMs: 1_000 }),
        cueRow({ cueId: "cue-2", plannedMs: 9_000, tookMs: 5_000, overMs: -4_000 }),
      ],
      notes: [],
      beside: [
        beside("late", "wall", 2_000, "two"),
        beside("late", "wall", 9_000, "nine"),
        beside("late", "stream", 3_000, "three"),
        beside("refused", "Desk 2", null, "The air has moved."),
        beside("refused", "Desk 1", null, "The air has moved."),
      ],
    };
    const summary = summaryOf(report, { fromMs: 0, untilMs: 20_000 });
    expect(summary).toMatchObject({
      ...{ beganMs: 0, endedMs: 20_000, isOn: true, beganLateMs: 2_000, overMs: -3_000 },
      ...{
        cues: 2,
        pages: 2,
        pagesByItself: 0,
        hands: [
          ["Desk 1", 1],
          ["Desk 2", 1],
        ],
      },
    });
    expect(summary.troubles.late.map(({ words, times }) => [words, times])).toEqual([
      ["nine", 2],
      ["three", 1],
    ]);
    expect(summary.troubles.refused).toMatchObject([{ words: "The air has moved.", times: 2, worst: null }]);
    expect(summary.troubles.feed).toEqual([]);
  });

  test("an evening with no times, and one in which nothing was on", () => {
    const nothing = { evening: null, shown: [], cues: [], notes: [], beside: [], hasBeside: true };
    expect(summaryOf(nothing, { fromMs: 0, untilMs: 10 })).toMatchObject({
      ...{ beganMs: null, endedMs: null, isOn: false, beganLateMs: null, overMs: null, pages: 0 },
    });
    expect(summaryOf({ ...nothing, cues: [cueRow({})] }, { fromMs: 0, untilMs: 10 })).toMatchObject({
      ...{ beganLateMs: null, overMs: null, cues: 1 },
    });
  });

  test("earlier lengths: the middle one; looking through counts for nothing", () => {
    const [evening, other] = [
      compile(bench, page("title", { title: "Lantern Evening" })),
      compile(bench, page("title", { title: "LANTERN EVENING" })),
    ];
    const visit = (content: typeof evening, seconds: number) => ({
      ...{ content, fromMs: 0, untilMs: seconds * 1_000 },
    });
    const past = pastLengths([visit(evening, 60), visit(other, 90), visit(evening, 600), visit(evening, 2)]);
    expect(past.get(sameAs(evening))).toMatchObject({ times: 3, medianMs: 90_000, shortestMs: 60_000 });
    expect(pastLengths([visit(evening, 60), visit(evening, 90)]).get(sameAs(evening))?.medianMs).toBe(75_000);
    expect(sameAs(compile(bench, page("corner", { mark: "Lantern Evening" })))).not.toBe(sameAs(evening));
  });
});

describe("files", () => {
  const timeOf = (atMs: number) => new Date(atMs).toISOString().slice(0, 19).replace("T", " ");
  const read = (text: string) =>
    Papa.parse<Record<string, string>>(text.replace(/^\uFEFF/, ""), { header: true }).data;

  test("what was on, with its notes, is read back by another reader", () => {
    const text = shownCsv(
      [
        row({ title: 'The "lamp", and\nthe bell', words: "=1+1", seq: 4, untilMs: 61_500 }),
        row({ untilMs: null }),
      ],
      [
        { seq: 4, atMs: 0, by: "Desk 1", words: "It was the wrong verse." },
        { seq: 4, atMs: 1, by: "Balcony", words: "Put right." },
      ],
      timeOf,
    );
    expect(text.startsWith("\uFEFFFrom,Until")).toBe(true);
    const [first, second] = read(text);
    expect(first).toMatchObject({
      ...{ From: "1970-01-01 00:00:00", Until: "1970-01-01 00:01:01", Seconds: "61.5" },
      ...{ Title: 'The "lamp", and\nthe bell', Words: "'=1+1", Screens: "Loft wall" },
      Note: "It was the wrong verse. (Desk 1); Put right. (Balcony)",
    });
    expect(second).toMatchObject({ Until: "", Seconds: "", Note: "" });
  });

  test("cues against their plan, and songs for the licence report", () => {
    expect(read(cuesCsv([cueRow({ plannedMs: 4_000, tookMs: 5_000, overMs: 1_000 })], timeOf))).toMatchObject(
      [
        {
          Cue: "Evening",
          "Planned at": "",
          "Planned seconds": "4",
          "Took seconds": "5",
          "Over seconds": "1",
        },
      ],
    );
    const [use] = songUse([
      {
        cueId: "c",
        songId: null,
        title: "Nine Bells",
        credits: undefined,
        fromMs: 0,
        untilMs: 9_000,
        screens: ["Wall"],
      },
    ]);
    expect(read(songsCsv(use ? [use] : [], timeOf))).toMatchObject([
      {
        Title: "Nine Bells",
        Times: "1",
        Seconds: "9",
        Screens: "Wall",
        Missing: "who wrote it, song number",
      },
    ]);
  });
});
