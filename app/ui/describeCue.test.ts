import { describe, expect, test } from "vitest";
import { actionCue, pageCue, readingCue, remarkCue, songCue } from "../../core/rundown/cueDoc.ts";
import { readTimeOfDay } from "../../core/time/timeOfDay.ts";
import { nearestVenueLanguage, VENUE_LANGUAGES, type VenueLanguage } from "../../core/time/venueLanguage.ts";
import { FIELD_SETS } from "../../designs/fieldSets.ts";
import { cueKindName, cueTiming, typedTitle, wordsOf } from "./describeCue.ts";
import {
  formatDate,
  formatDay,
  formatLength,
  formatMinute,
  formatPlanned,
  formatTimeOfDay,
  formatWait,
} from "./format.ts";

const fieldSets = new Map(FIELD_SETS.map((set) => [set.id, set]));

describe("cues in words", () => {
  test.each([
    [songCue({ title: "", text: "" }), "song", "Song without words"],
    [readingCue({ reference: "Ps 23", text: "web" }), "reading", "Ps 23"],
    [actionCue({ title: "House lights" }), "action", "House lights"],
    [remarkCue({ text: "Doors\nby the quay" }), "remark", "Doors"],
    [remarkCue({ text: "", isHeading: true }), "heading", "Heading"],
    [pageCue({ fieldSet: "name" }), "name strap", "Empty name strap"],
    [pageCue({ fieldSet: "no-such-set" }), "page", "Empty page"],
  ])("%#", (doc, kind, title) => {
    expect(cueKindName(doc, fieldSets)).toBe(kind);
    expect(typedTitle(doc, fieldSets)).toBe(title);
  });

  test("a page without content is called by the first words that were typed", () => {
    const typed = pageCue({ fieldSet: "name", values: { name: " ", role: "net mender" } });
    expect(typedTitle(typed, fieldSets)).toBe("net mender");
    expect(typedTitle(pageCue({ fieldSet: "name" }), fieldSets)).toBe("Empty name strap");
  });

  test("what it does by itself, in the order in which it happens", () => {
    expect(cueTiming(pageCue({ fieldSet: "name" }))).toBeUndefined();
    expect(
      cueTiming(
        pageCue({
          fieldSet: "name",
          start: { kind: "after", ms: 1_500 },
          delayMs: 500,
          stayMs: 8_000,
          repeatMs: 60_000,
        }),
      ),
    ).toBe("follows after 1.5 s, 0.5 s later, leaves after 8 s, again every 60 s");
    expect(cueTiming(songCue({ title: "", text: "", start: { kind: "at", time: "19:00:00" } }))).toBe(
      "at 19:00:00",
    );
    expect(cueTiming(actionCue({ start: { kind: "after", ms: 0 } }))).toBe("follows at once");
  });

  test("what a page says: words only, cells of a table apart, its title when it says nothing", () => {
    const rows = pageCue({ fieldSet: "standings", values: { heading: "Lit", rows: "Ropewalk|142" } });
    if (rows.kind !== "page") throw new Error(rows.kind);
    expect(wordsOf(rows, "x", fieldSets)).toEqual(["Ropewalk  142", "Lit"]);
    const picture = pageCue({ fieldSet: "picture", values: { picture: "some-file" } });
    if (picture.kind !== "page") throw new Error(picture.kind);
    expect(wordsOf(picture, "The slip", fieldSets)).toEqual(["The slip"]);
  });
});

describe("times", () => {
  test("lengths by minutes, hours, and days where nobody counts minutes", () => {
    expect([0, 999, 61_000, 3_600_000, -5].map(formatLength)).toEqual([
      "0:00",
      "0:00",
      "1:01",
      "1:00:00",
      "0:00",
    ]);
    expect(formatWait(47 * 3_600_000 + 62_000)).toBe("47:01:02");
    expect(formatWait(50 * 3_600_000)).toBe("2 d 2 h");
  });

  test("times of day are those of the zone, over the change of clocks too", () => {
    // 29 March 2026, 01:00 UTC: clocks in Lisbon go from one to two.
    const changeMs = Date.UTC(2026, 2, 29, 1);
    const lisbon = { timeZone: "Europe/Lisbon", language: "en-GB" } as const;
    expect(formatTimeOfDay(changeMs - 1_000, lisbon)).toBe("00:59:59");
    expect(formatTimeOfDay(changeMs, lisbon)).toBe("02:00:00");
    expect(formatMinute(changeMs, { timeZone: "Asia/Kolkata", language: "hi-IN" })).toBe("6:30 am");
  });

  test("dates and times are written as the venue's language does, in the digits of everything else", () => {
    const atMs = Date.UTC(2026, 10, 25, 19, 4, 7);
    const plain = (text: string) => text.replace(/\s/gu, " ");
    const inAll = (language: VenueLanguage) =>
      [formatTimeOfDay, formatMinute, formatDay, formatDate].map((format) =>
        plain(format(atMs, { timeZone: "UTC", language })),
      );
    expect(inAll("en-GB")).toEqual(["19:04:07", "19:04", "Wed 25 Nov, 19:04", "25 Nov 2026, 19:04"]);
    expect(inAll("en-US")).toEqual([
      "7:04:07 PM",
      "7:04 PM",
      "Wed, Nov 25, 7:04 PM",
      "Nov 25, 2026, 7:04 PM",
    ]);
    expect(inAll("fi-FI")[0]).toBe("19.04.07");
    // Years of the common calendar, and no digits that the rest of the desk is not in.
    expect(inAll("th-TH")[3]).toMatch(/\b2026\b/);
    expect(inAll("ar")[3]).toMatch(/\b2026\b.*7:04/);
  });

  test("a planned time stands as its language writes it wherever that can be typed again, to the second too", () => {
    const minutes = Array.from({ length: 24 * 60 }, (_, minute) =>
      new Date(minute * 60_000).toISOString().slice(11, 16),
    );
    for (const language of VENUE_LANGUAGES) {
      for (const time of minutes) expect(readTimeOfDay(formatPlanned(time, language))).toBe(time);
      expect(readTimeOfDay(formatPlanned("12:00:59", language), true)).toBe("12:00:59");
    }
    const written = (language: VenueLanguage) => formatPlanned("00:30", language).replace(/\s/gu, " ");
    expect([written("en-GB"), written("en-US"), written("fr-CA"), written("ko-KR")]).toEqual([
      "00:30",
      "12:30 AM",
      "00 h 30",
      "00:30",
    ]);
    expect(formatPlanned("", "en-US")).toBe("");
  });

  test("a browser's language is answered by the nearest that the venue can have", () => {
    expect(["en-US", "de-AT", "fr", "zh-Hant-TW", "xx", ""].map(nearestVenueLanguage)).toEqual([
      "en-US",
      "de-DE",
      "fr-FR",
      "zh-CN",
      "en-GB",
      "en-GB",
    ]);
  });
});
