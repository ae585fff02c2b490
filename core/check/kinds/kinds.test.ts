import { describe, expect, test } from "vitest";
import { prepareChecks } from "../../../test-support/checked.ts";
import { page, song, strap } from "../../../test-support/contents.ts";
import { ALL_OUTFITS, FIVE_OUTPUTS, FIVE_PLAN } from "../../../test-support/designs.ts";
import type { CueDoc } from "../../rundown/cueDoc.ts";
import { NO_CREDITS } from "../../words/credits.ts";

const { findOf, find } = prepareChecks();

const onWall = <D extends CueDoc>(doc: D, outputs = ["wall"]): D => ({ ...doc, only: outputs });
const WORDS_OF_NINE = strap("One two three four five", "six seven eight nine");
const credited = { ...NO_CREDITS, writers: "M. Quay", publisher: "Quay", year: "2025", number: "Q-1" };

describe("words and their room", () => {
  const LONG = "Everybody who lives on the harbour side, and their cousins from over the water. ".repeat(12);

  test("overflow: words that are cut are found where they are, with ways to give them room; others are not", () => {
    const [finding] = findOf("overflow", [onWall(page("title", { title: LONG, subtitle: "" }))]);
    expect(finding).toMatchObject({ severity: "fault", outputIds: ["wall"], cueId: "cue-1" });
    expect(finding?.spots[0]?.rect?.width).toBeGreaterThan(100);
    expect(finding?.mends.map(({ kind }) => kind)).toContain("changeCue");
    expect(findOf("overflow", [onWall(page("title", { title: "Lantern Evening" }))])).toEqual([]);
  });

  test("narrowed: found one hundredth beyond the limit, and not at it", () => {
    const doc = strap("Bartholomew Featherstonehaugh-Cholmondeley of the Upper Slip");
    const percent = Number(findOf("narrowed", [doc], { set: { narrowest: 100 } })[0]?.figures.percent);
    expect(percent).toBeLessThan(100);
    expect(findOf("narrowed", [doc], { set: { narrowest: percent } })).toEqual([]);
    expect(findOf("narrowed", [doc], { set: { narrowest: percent + 1 } })).toHaveLength(1);
  });

  test.each([
    // ANSI/AVIXA V202.01 (from memory): a capital of at least the distance ÷ 200; capitals are 0.7 of the size.
    { farthestM: 200 * 0.7 * 0.5, expected: 540 },
    { farthestM: 12, expected: Math.ceil((12 / 200 / 2 / 0.7) * 1_080) },
  ])(
    "tooSmall: from $farthestM m words of a picture of 2 m are read from $expected px",
    ({ farthestM, expected }) => {
      const outputs = FIVE_OUTPUTS.map((output) =>
        output.id === "wall"
          ? { ...output, farthestM, pictureHeightM: 2 / (expected === 540 ? 2 : 1) }
          : output,
      );
      const docs = [onWall(page("title", { title: "Lantern Evening" }))];
      const [found] = findOf("tooSmall", docs, { outputs, set: { readableFactor: 50 } });
      const needed = Number(found?.figures.neededPx ?? 0);
      const size = Number(found?.figures.sizePx ?? Number.POSITIVE_INFINITY);
      if (found) expect(needed).toBeGreaterThan(size);
      const usual = findOf("tooSmall", docs, { outputs });
      for (const { figures } of usual) expect(figures.neededPx).toBe(expected);
    },
  );

  test("tooSmall: one pixel decides", () => {
    const docs = [onWall(page("title", { title: "Lantern Evening" }))];
    const at = (neededPx: number) =>
      FIVE_OUTPUTS.map((output) => ({
        ...output,
        pictureHeightM: 1,
        farthestM: ((neededPx - 0.5) / output.heightPx) * 0.7 * 200,
      }));
    const sizePx = Number(findOf("tooSmall", docs, { outputs: at(900) })[0]?.figures.sizePx);
    expect(sizePx).toBeGreaterThan(40);
    expect(findOf("tooSmall", docs, { outputs: at(sizePx) })).toEqual([]);
    expect(findOf("tooSmall", docs, { outputs: at(sizePx + 1) })[0]?.figures).toMatchObject({
      sizePx,
      neededPx: sizePx + 1,
    });
  });

  test("outsideSafe and offCanvas: words moved to the edge of the stream are found, those inside it are not, and the mend brings them in", () => {
    const at = (yPx: number, xPx = 0) =>
      onWall(
        {
          ...strap("Ilse Tarrow"),
          adjust: { name: { xPx, yPx, scale: 1, isHidden: false, speed: null, level: null, isLooped: null } },
        },
        ["stream"],
      );
    expect(findOf("outsideSafe", [at(0)])).toEqual([]);
    const [found] = findOf("outsideSafe", [at(170)]);
    expect(found?.outputIds).toEqual(["stream"]);
    const [mend] = found?.mends ?? [];
    if (mend?.kind !== "changeCue") throw new Error("no mend");
    expect(findOf("outsideSafe", [mend.doc])).toEqual([]);
    const whole = { xPercent: -8, yPercent: 0, scale: 1 };
    const [left] = findOf("outsideSafe", [onWall({ ...strap("Ilse Tarrow"), whole }, ["stream"])]);
    const [back] = left?.mends ?? [];
    if (back?.kind !== "changeCue") throw new Error("no mend");
    expect(back.doc.adjust).toEqual({});
    expect(findOf("outsideSafe", [back.doc])).toEqual([]);
    expect(findOf("offCanvas", [at(0)])).toEqual([]);
    expect(findOf("offCanvas", [at(0, -700)])).toHaveLength(1);
  });
});

describe("time to read", () => {
  // BBC guideline (from memory): 180 words a minute are three words a second.
  test("shortStay: nine words take three seconds", () => {
    const stay = (stayMs: number) => [{ ...WORDS_OF_NINE, stayMs } as CueDoc];
    expect(findOf("shortStay", stay(3_000))).toEqual([]);
    const [found] = findOf("shortStay", stay(2_900));
    expect(found?.figures).toMatchObject({ stayS: 2.9, words: 9, neededS: 3 });
    expect(found?.mends[0]).toMatchObject({ kind: "changeCue", doc: { stayMs: 3_000 } });
  });

  test("fastStep: a cue that follows on the same layer waits until the words before it are read", () => {
    const following = (ms: number) => [
      WORDS_OF_NINE,
      { ...strap("Brisa Quell"), start: { kind: "after", ms } } as CueDoc,
    ];
    expect(findOf("fastStep", following(3_000))).toEqual([]);
    expect(findOf("fastStep", following(2_999))).toMatchObject([{ cueId: "cue-2", figures: { words: 9 } }]);
    // Onto another layer it takes nothing away.
    const beside = [
      WORDS_OF_NINE,
      { ...page("clock", { label: "Time" }), start: { kind: "after", ms: 100 } } as CueDoc,
    ];
    expect(findOf("fastStep", beside)).toEqual([]);
  });

  test("fastCrawl: the rate is the one that the crawl has, and its mend keeps to the limit", () => {
    const doc = onWall(page("crawl", { items: "Last ferry 22:40\nSoup in the sail room until ten" }));
    const rate = Number(findOf("fastCrawl", [doc], { set: { crawlWordsPerMinute: 60 } })[0]?.figures.rate);
    expect(findOf("fastCrawl", [doc], { set: { crawlWordsPerMinute: rate } })).toEqual([]);
    const [found] = findOf("fastCrawl", [doc], { set: { crawlWordsPerMinute: rate - 5 } });
    const [mend] = found?.mends ?? [];
    if (mend?.kind !== "changeCue") throw new Error("no mend");
    expect(findOf("fastCrawl", [mend.doc], { set: { crawlWordsPerMinute: rate - 5 } })).toEqual([]);
  });

  test("flashing: only what may flash is painted, and one flash more than the limit is found", () => {
    const flashes = (count: number) => ({
      ...{ columns: 4, rows: 3, framesPerSecond: 30 },
      frames: Array.from({ length: 60 }, (_, frame) =>
        new Array(12).fill(Math.floor((frame * count * 2) / 30) % 2),
      ),
    });
    expect(
      find([strap("Ilse")], { measures: { contrast: () => null, brightness: () => flashes(9) } }),
    ).toEqual([]);
  });
});

describe("what lies with what", () => {
  const title = onWall(page("title", { title: "Lantern Evening", subtitle: "The Net Loft" }), ["stream"]);

  test("overlapping: a strap that comes by itself over a title; by hand it is the title that was left lying", () => {
    const strapAfter = { ...strap("Ilse Tarrow"), start: { kind: "after", ms: 9_000 } } as CueDoc;
    expect(findOf("overlapping", [title, strapAfter])).toMatchObject([
      { cueId: "cue-2", outputIds: ["stream"] },
    ]);
    expect(findOf("overlapping", [title, strap("Ilse Tarrow")])).toEqual([]);
    expect(findOf("leftLying", [title, strap("Ilse Tarrow")])).toMatchObject([
      { cueId: "cue-1", severity: "note" },
    ]);
    // Gone before the strap comes.
    expect(findOf("leftLying", [{ ...title, stayMs: 6_000 } as CueDoc, strap("Ilse Tarrow")])).toEqual([]);
  });

  test("tooMany: three pages to read at once of which one came by itself; two are usual", () => {
    const points = page("points", { points: "One", heading: "Walk" });
    const together = (...docs: CueDoc[]) =>
      docs.map((doc, at) => (at === 0 ? doc : { ...doc, start: { kind: "with" } as const }));
    const three = together(
      page("clip", { clip: "none", caption: "Lanterns rise" }),
      points,
      strap("Ilse Tarrow"),
    );
    const most = (mostAtOnce: number) => findOf("tooMany", three, { set: { mostAtOnce } }).length;
    expect(most(9)).toBe(0);
    expect(most(1)).toBe(1);
  });
});

describe("songs and credits", () => {
  const TEXT = "[V1]\nNine bells\nand no wind\n\n[C]\nCarry it low\n";

  test("missingCredit, hiddenCredit, doubtfulCredit", () => {
    const full = song(TEXT, {}, { credits: credited });
    expect(findOf("missingCredit", [full])).toEqual([]);
    expect(findOf("missingCredit", [song(TEXT, {}, { credits: { ...credited, number: "" } })])).toMatchObject(
      [{ place: "number" }],
    );
    expect(findOf("missingCredit", [full], { licence: "" })).toMatchObject([{ place: "licence" }]);
    expect(findOf("hiddenCredit", [full])).toEqual([]);
    expect(findOf("hiddenCredit", [{ ...full, creditAt: "none" } as CueDoc])).toHaveLength(1);
    const inYear = (year: string) =>
      findOf("doubtfulCredit", [song(TEXT, {}, { credits: { ...credited, year } })]);
    expect(inYear("2027")).toEqual([]);
    expect(inYear("20026")).toHaveLength(1);
    expect(
      findOf("doubtfulCredit", [song(TEXT, {}, { credits: { ...credited, writers: "TBC" } })]),
    ).toHaveLength(1);
  });

  test("secondLanguage: as many lines in each section, or it is said", () => {
    const second = (text: string) =>
      findOf("secondLanguage", [song(TEXT, {}, { second: { language: "es", text } })]);
    expect(second("[V1]\nNueve\nsin viento\n\n[C]\nLleva\n")).toEqual([]);
    expect(second("[V1]\nNueve sin viento\n\n[C]\nLleva\n")).toMatchObject([
      { place: "V1", figures: { first: 2, second: 1 } },
    ]);
    expect(second("[V1]\nNueve\nsin viento\n")).toMatchObject([{ place: "C", figures: { second: 0 } }]);
  });

  test("leftOutSection and unknownSection", () => {
    const ordered = (order: string) => [song(TEXT, {}, { order })];
    expect(findOf("leftOutSection", ordered("V1 C V1"))).toEqual([]);
    expect(findOf("leftOutSection", ordered("V1"))).toMatchObject([{ place: "C" }]);
    expect(findOf("leftOutSection", ordered(""))).toEqual([]);
    expect(findOf("unknownSection", ordered("V1 C"))).toEqual([]);
    expect(findOf("unknownSection", ordered("V1 B C"))).toMatchObject([{ figures: { words: "B" } }]);
  });
});

describe("feeds", () => {
  const bound = {
    ...page("name", { name: "To be announced", role: "" }),
    bindings: {
      name: {
        kind: "cell",
        feedId: "f",
        formats: {},
        empty: "",
        row: { by: "number", number: 1 },
        text: "{name}",
      },
    },
  } as CueDoc;
  const feed = (more: object = {}) => ({
    id: "f",
    doc: { name: "Names", staleAfterMs: 60_000 } as never,
    ...{ fault: null, isStale: false, longest: { name: "Ilse" } },
    ...more,
  });

  test("unfilled, brokenFeed, staleFeed", () => {
    expect(findOf("unfilled", [bound], { feeds: [feed()] })).toEqual([]);
    expect(findOf("unfilled", [bound], { feeds: [] })).toMatchObject([{ severity: "fault", place: "name" }]);
    expect(
      findOf("unfilled", [bound], { feeds: [feed()], bindingProblems: { "cue-1": "“Names” has no row 1." } }),
    ).toHaveLength(1);
    const fault = {
      code: "gone",
      row: null,
      column: null,
      value: null,
      says: "The file is gone.",
      sinceMs: 0,
    };
    expect(findOf("brokenFeed", [bound], { feeds: [feed({ fault })] })[0]?.sentence).toContain(
      "The file is gone.",
    );
    expect(findOf("brokenFeed", [bound], { feeds: [feed()] })).toEqual([]);
    expect(findOf("staleFeed", [bound], { feeds: [feed({ isStale: true })] })).toHaveLength(1);
    expect(findOf("staleFeed", [bound], { feeds: [feed()] })).toEqual([]);
  });

  test("longestValue: the longest of the column, not what stands there now", () => {
    expect(findOf("longestValue", [bound], { feeds: [feed()] })).toEqual([]);
    const long = {
      name: "Wilhelmina van der Something-Otherwise, keeper of the long breakwater. ".repeat(3),
    };
    expect(findOf("longestValue", [bound], { feeds: [feed({ longest: long })] }).length).toBeGreaterThan(0);
  });
});

describe("plans, times and what comes by itself", () => {
  const WALK = { ...FIVE_PLAN, id: "walk", name: "Walk" };
  const plans = [FIVE_PLAN, WALK];
  const asking = (doc: CueDoc, id: string): CueDoc => ({ ...doc, plan: { id, otherwise: "switch" } });
  const [one, two, three] = [strap("Ilse Tarrow"), strap("Brisa Quell"), strap("Noor Halvard")];

  test("planLeftBehind: until a later cue asks for the usual one again; the mend does that", () => {
    const [found] = findOf("planLeftBehind", [one, asking(two, "walk"), three], { plans });
    expect(found).toMatchObject({ cueId: "cue-2", figures: { plan: "Walk" } });
    const [mend] = found?.mends ?? [];
    if (mend?.kind !== "changeCue") throw new Error("no mend");
    expect(findOf("planLeftBehind", [one, asking(two, "walk"), mend.doc], { plans })).toEqual([]);
    // The last cue of the evening may.
    expect(findOf("planLeftBehind", [one, asking(two, "walk")], { plans })).toEqual([]);
  });

  test("gonePlan, shownNowhere, goneTemplate, goneSource", () => {
    expect(findOf("gonePlan", [asking(one, "walk")], { plans })).toEqual([]);
    expect(findOf("gonePlan", [asking(one, "other")], { plans })).toHaveLength(1);
    expect(findOf("shownNowhere", [one])).toEqual([]);
    const bare = { ...FIVE_PLAN, outputs: {} };
    expect(findOf("shownNowhere", [one], { plans: [bare] })).toHaveLength(1);
    expect(findOf("goneTemplate", [{ ...one, template: "Name, on a bar" }])).toEqual([]);
    expect(findOf("goneTemplate", [{ ...one, template: "Name, of long ago" }])).toHaveLength(1);
    const tied = { ...one, comesWith: { sourceId: "lectern", delayMs: 0, stays: false } };
    expect(findOf("goneSource", [tied], { sourceIds: ["lectern"] })).toEqual([]);
    expect(findOf("goneSource", [tied], { sourceIds: ["other"] })).toHaveLength(1);
  });

  test("draftTemplate: what is worn is being changed in Design", () => {
    const offering = (hasDraft: boolean) => ({
      outfits: ALL_OUTFITS.map(({ id, name, templates }) => ({
        ...{ id, name },
        templates: {
          name: templates
            .filter(({ fieldSet }) => fieldSet === "name")
            .map((each) => ({ id: "", key: each.id || each.name, name: each.name, hasDraft })),
        },
      })),
    });
    const wall = [onWall(one)];
    expect(findOf("draftTemplate", wall, offering(false))).toEqual([]);
    expect(findOf("draftTemplate", wall, offering(true))).toMatchObject([
      { severity: "note", outputIds: ["wall"] },
    ]);
  });

  test("nothingHere: a song on a screen whose outfit has no template for its words", () => {
    const words = song("[V1]\nNine bells\n", {}, { credits: credited });
    expect(findOf("nothingHere", [words])).toEqual([]);
    const odd = {
      ...FIVE_PLAN,
      outputs: { ...FIVE_PLAN.outputs, porch: { outfitId: "none", layerIds: ["words"] } },
    };
    expect(findOf("nothingHere", [words], { plans: [odd] })).toMatchObject([{ outputIds: ["porch"] }]);
  });

  test("clashingTimes and runsOver: to the minute, over midnight too", () => {
    const evening = (startsAt: string, endsAt: string) => ({
      evening: { id: "e", name: "E", day: "", startsAt, endsAt, copiedCues: 0 },
    });
    const long = { ...one, plannedMs: 30 * 60_000 };
    expect(findOf("clashingTimes", [long, { ...two, plannedAt: "19:30" }], evening("19:00", ""))).toEqual([]);
    const [clash] = findOf("clashingTimes", [long, { ...two, plannedAt: "19:29" }], evening("19:00", ""));
    expect(clash?.mends[0]).toMatchObject({ doc: { plannedAt: "19:30" } });
    expect(findOf("runsOver", [long], evening("19:00", "19:30"))).toEqual([]);
    expect(findOf("runsOver", [long], evening("19:00", "19:29"))).toMatchObject([{ figures: { byMin: 1 } }]);
    expect(findOf("runsOver", [long], evening("23:45", "00:15"))).toEqual([]);
    expect(findOf("runsOver", [long], evening("23:45", "00:10"))).toMatchObject([{ figures: { byMin: 5 } }]);
    expect(findOf("runsOver", [long], evening("", ""))).toEqual([]);
  });

  test("sameTime and endlessRepeat", () => {
    const at = (doc: CueDoc, time: string): CueDoc => ({ ...doc, start: { kind: "at", time } });
    expect(findOf("sameTime", [at(one, "20:00:00"), at(two, "20:00:01")])).toEqual([]);
    expect(findOf("sameTime", [at(one, "20:00:00"), at(two, "20:00:00")])).toHaveLength(1);
    const again = { ...one, repeatMs: 60_000 };
    expect(findOf("endlessRepeat", [again, two])).toEqual([]);
    expect(findOf("endlessRepeat", [two, again])).toHaveLength(1);
  });

  test("triggers: in a circle, and those that lead nowhere", () => {
    const trigger = (id: string, of: string, takes: string) => ({
      ...{ id, name: id, isOn: true, onlyWhile: [], delayMs: 0, stay: { kind: "asCue" as const } },
      ...{ leavesWith: false, mayReplaceHand: false },
      when: { kind: "cue" as const, cueId: of, does: "comes" as const },
      act: { kind: "take" as const, cueId: takes, how: "usual" as const },
    });
    const chain = [trigger("a", "cue-1", "cue-2"), trigger("b", "cue-2", "cue-3")];
    expect(findOf("triggerLoop", [one, two, three], { triggers: chain })).toEqual([]);
    const round = [...chain, trigger("c", "cue-3", "cue-1")];
    expect(findOf("triggerLoop", [one, two, three], { triggers: round })[0]?.sentence).toContain(
      "“a”, “b”, “c”",
    );
    expect(findOf("deadTrigger", [one, two, three], { triggers: chain })).toEqual([]);
    expect(findOf("deadTrigger", [one, two], { triggers: chain })).toHaveLength(1);
  });
});

describe("words as they are written", () => {
  const says = (title: string) => page("title", { title, subtitle: "" });

  test("spelling: a name spelt in two ways, the rarer one is told and mended everywhere", () => {
    const docs = [
      strap("Ilse Tarrow"),
      says("With Ilse Tarrow and Odhran Vael"),
      says("Thanks to Ilse Tarow"),
    ];
    expect(findOf("spelling", docs)).toMatchObject([
      {
        cueId: "cue-3",
        figures: { name: "Ilse Tarow", other: "Ilse Tarrow", times: 2 },
        mends: [{ kind: "replaceWords" }],
      },
    ]);
    expect(findOf("spelling", docs.slice(0, 2))).toEqual([]);
    // Others that are alike and are others.
    expect(
      findOf("spelling", [
        says("Gannet Steps"),
        says("Gannet Step"),
        says("Anna Berg"),
        says("Hanna Berg, Anna Burg"),
      ]),
    ).not.toContainEqual(
      expect.objectContaining({ figures: expect.objectContaining({ name: "Gannet Step" }) }),
    );
  });

  test("spelling, as people write: capitals for a title, other words that begin alike, accents that were left out", () => {
    const told = (...titles: string[]) =>
      findOf("spelling", titles.map(says)).map(({ figures }) => figures.name);
    expect(told("Ilse Tarrow", "ILSE TARROW")).toEqual([]);
    expect(told("The Lamp is lit", "The Camp is open")).toEqual([]);
    expect(told("With Ilse at the lamp", "With Elsie at the door")).toEqual([]);
    expect(told("Gannet Steps", "Gannet Street")).toEqual([]);
    expect(told("José Marín and José Marín", "Jose Marin")).toEqual(["Jose Marin"]);
    expect(told("Odhran Vael, Odhran Vael", "Odhran  Vael, odhran vael", "Odrhan Vael")).toEqual([
      "Odrhan Vael",
    ]);
  });

  test("otherYear and wrongWeekday: 4 December 2026 is a Friday", () => {
    expect(findOf("otherYear", [says("Friday 4 December 2026")])).toEqual([]);
    expect(findOf("otherYear", [says("Thursday 4 December 2025")])).toMatchObject([
      { figures: { year: 2026 } },
    ]);
    expect(findOf("otherYear", [says("Since 1998")])).toEqual([]);
    expect(findOf("wrongWeekday", [says("Friday 4 December")])).toEqual([]);
    expect(findOf("wrongWeekday", [says("Thursday, 4 December")])).toMatchObject([
      { figures: { is: "Friday" } },
    ]);
    expect(findOf("wrongWeekday", [says("Freitag, 4. Dezember"), says("viernes, 4 de diciembre")])).toEqual(
      [],
    );
  });

  test("todayInCopy: only in what came with a copy and was not changed since", () => {
    const evening = (copiedCues: number) => ({
      evening: { id: "e", name: "E", day: "", startsAt: "", endsAt: "", copiedCues },
    });
    expect(findOf("todayInCopy", [says("Soup today")], evening(0))).toEqual([]);
    expect(findOf("todayInCopy", [says("Soup today")], evening(1))).toHaveLength(1);
    expect(findOf("todayInCopy", [says("Soup at noon")], evening(1))).toEqual([]);
  });

  test("doubledWord, strayMark, mixedQuotes, with what mends them", () => {
    const [twice] = findOf("doubledWord", [says("Down to the the water")]);
    expect(twice?.mends[0]).toMatchObject({ doc: { values: { title: "Down to the water" } } });
    expect(findOf("doubledWord", [says("Holy, holy, holy"), says("It had had its day")])).toEqual([]);
    const [space] = findOf("strayMark", [says("Soup , and bread")]);
    expect(space?.mends[0]).toMatchObject({ doc: { values: { title: "Soup, and bread" } } });
    expect(findOf("strayMark", [says("Caf\uFFFD"), says("(the loft"), says("Lanterns TBC")])).toHaveLength(3);
    expect(findOf("strayMark", [says("At 19.30, in the loft (upstairs)… and “so on”")])).toEqual([]);
    expect(findOf("mixedQuotes", [says('“Lamp” and "Bell"')])).toHaveLength(1);
    expect(findOf("mixedQuotes", [says("“Lamp” and “Bell”"), says("6' and 4\"")])).toEqual([]);
  });
});

describe("screens", () => {
  const WELL = {
    wantedWidthPx: 1920,
    wantedHeightPx: 1080,
    widthPx: 1920,
    heightPx: 1080,
    lateMs: null,
    isHidden: false,
  };
  const wall = (window: object | null) => ({
    outputs: FIVE_OUTPUTS.slice(0, 1),
    windows: window === null ? {} : { wall: [{ ...WELL, ...window }] },
  });
  test.each([
    ["noWindow", {}, null],
    ["otherSize", {}, { widthPx: 1919 }],
    ["lateScreen", { lateMs: 1_800 }, { lateMs: 1_801 }],
    ["asleepScreen", {}, { isHidden: true }],
  ] as const)("%s", (code, well, bad) => {
    expect(findOf(code, [], wall(well))).toEqual([]);
    expect(findOf(code, [], wall(bad))).toMatchObject([{ cueId: null, outputIds: ["wall"] }]);
  });
});
