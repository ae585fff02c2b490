import { describe, expect, test } from "vitest";
import { clipPlay, readyClip } from "../../test-support/clips.ts";
import type { ClipPlay } from "../clips/clipPlay.ts";
import type { ReadyClip } from "../clips/readyClip.ts";
import { nowNextTable } from "./nowNext.ts";
import type { ProgrammeItem } from "./programme.ts";

// 25 November 2026, 20:00:00 UTC.
const EIGHT = Date.UTC(2026, 10, 25, 20);
const MINUTE = 60_000;

const item = (title: string, startsAtMs: number | null, lengthMs: number | null): ProgrammeItem => ({
  ...{ cueId: title, title, clip: null, startsAtMs, lengthMs },
});
const CLIPS = [
  readyClip("a", "next", 90_000, { details: { by: "Ines" } }),
  readyClip("b", "hold", 2 * MINUTE, { details: { by: "Ida" } }),
  readyClip("c"),
];
const SCRIPT = {
  present: item("Song", EIGHT, 4 * MINUTE),
  coming: [item("Reading", EIGHT + 5 * MINUTE, null), item("Walk", null, 10 * MINUTE)],
};
const table = (play: ClipPlay | null, nowMs = EIGHT) =>
  nowNextTable({ play, clips: CLIPS, programme: SCRIPT, fields: ["by"], timeZone: "UTC" }, nowMs);

describe("now, next and later", () => {
  test("from the script while no clip plays; what nothing fixes has no time", () => {
    expect(table(null)).toEqual({
      columns: ["when", "title", "starts", "ends", "length", "what", "by"],
      rows: [
        ["now", "Song", "20:00:00", "20:04:00", "4:00", "script", ""],
        ["next", "Reading", "20:05:00", "", "", "script", ""],
        ["later", "Walk", "", "", "10:00", "script", ""],
        ...["later 2", "later 3", "later 4", "later 5", "later 6"].map((name) => [
          name,
          "",
          "",
          "",
          "",
          "",
          "",
        ]),
      ],
    });
  });

  test("a clip that plays is now, what plays after it by itself is next, then the script goes on", () => {
    const { rows } = table(clipPlay(CLIPS[0] as ReadyClip, EIGHT), EIGHT + 30_000);
    expect(rows.slice(0, 4)).toEqual([
      ["now", "Film a", "20:00:00", "20:01:30", "1:30", "clip", "Ines"],
      ["next", "Film b", "20:01:30", "20:03:30", "2:00", "clip", "Ida"],
      ["later", "Reading", "20:05:00", "", "", "script", ""],
      ["later 2", "Walk", "", "", "10:00", "script", ""],
    ]);
  });

  test("a paused clip has no end that is known; nor has a loop; one that is over is not now", () => {
    const paused = { ...clipPlay(CLIPS[0] as ReadyClip, EIGHT), isPaused: true };
    expect(table(paused).rows[0]?.slice(2, 4)).toEqual(["20:00:00", ""]);
    expect(table({ ...clipPlay(CLIPS[1] as ReadyClip, EIGHT), atEnd: "loop" }).rows[0]?.[3]).toBe("");
    expect(table({ ...clipPlay(CLIPS[1] as ReadyClip, EIGHT), isOver: true }).rows[0]?.[1]).toBe("Song");
  });

  test("before anything is begun, nothing is now", () => {
    const before = { present: null, coming: SCRIPT.coming };
    const { rows } = nowNextTable(
      { play: null, clips: [], programme: before, fields: [], timeZone: "UTC" },
      EIGHT,
    );
    expect(rows[0]).toEqual(["now", "", "", "", "", ""]);
    expect(rows[1]?.[1]).toBe("Reading");
  });
});
