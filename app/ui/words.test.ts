import { describe, expect, test } from "vitest";
import { actionCue, pageCue, readingCue, remarkCue, songCue } from "../../core/rundown/cueDoc.ts";
import { cueKindName, cueTiming, cueTitle, typedTitle, wordsOf } from "./cueWords.ts";
import { formatLength, formatMinute, formatTimeOfDay, formatWait } from "./format.ts";

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
    expect(cueKindName(doc)).toBe(kind);
    expect(cueTitle(doc, undefined)).toBe(title);
  });

  test("a page without content is called by the first words that were typed", () => {
    expect(typedTitle(pageCue({ fieldSet: "name", values: { name: " ", role: "net mender" } }))).toBe(
      "net mender",
    );
    expect(typedTitle(pageCue({ fieldSet: "name" }))).toBe("Empty name strap");
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
    expect(wordsOf(rows, "x")).toEqual(["Ropewalk  142", "Lit"]);
    const picture = pageCue({ fieldSet: "picture", values: { picture: "some-file" } });
    if (picture.kind !== "page") throw new Error(picture.kind);
    expect(wordsOf(picture, "The slip")).toEqual(["The slip"]);
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
    expect(formatTimeOfDay(changeMs - 1_000, "Europe/Lisbon")).toBe("00:59:59");
    expect(formatTimeOfDay(changeMs, "Europe/Lisbon")).toBe("02:00:00");
    expect(formatMinute(changeMs, "Asia/Kolkata")).toBe("06:30");
  });
});
