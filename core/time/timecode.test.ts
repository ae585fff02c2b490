import * as fc from "fast-check";
import Timecode from "smpte-timecode";
import { describe, expect, test } from "vitest";
import { FRAME_RATES, type FrameRateName, formatTimecode, frameAt, frameStartMs } from "./timecode.ts";

describe("timecode", () => {
  // Source: SMPTE ST 12-1, drop-frame compensation (from memory): 17 982 frames in ten minutes, 107 892 in an hour.
  test("drop-frame keeps with the clock", () => {
    const rate = FRAME_RATES["29.97"];
    expect(formatTimecode(17_982, rate)).toBe("00:10:00;00");
    expect(formatTimecode(107_892, rate)).toBe("01:00:00;00");
    expect(formatTimecode(1_799, rate)).toBe("00:00:59;29");
    expect(formatTimecode(1_800, rate)).toBe("00:01:00;02");
    expect(formatTimecode(0, FRAME_RATES["25"])).toBe("00:00:00:00");
    expect(formatTimecode(35_964, FRAME_RATES["59.94"])).toBe("00:10:00;00");
  });

  test.each(["23.976", "24", "25", "29.97", "30", "50", "59.94", "60"] as const)(
    "seed 12: random frames at %s agree with the library smpte-timecode",
    (name) => {
      const frames = fc.integer({ min: 0, max: 2_000_000 });
      fc.assert(
        fc.property(frames, (frame) => {
          const theirs = Timecode(frame, Number(name) as 25, name === "29.97" || name === "59.94").toString();
          expect(formatTimecode(frame, FRAME_RATES[name])).toBe(theirs);
        }),
        { seed: 12, numRuns: 300 },
      );
    },
  );

  test("seed 13: a frame's beginning is in that frame, and an instant before it is not", () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...(Object.keys(FRAME_RATES) as FrameRateName[])),
        fc.integer({ min: 1, max: 10_000_000 }),
        (name, frame) => {
          const rate = FRAME_RATES[name];
          expect(frameAt(frameStartMs(frame, rate), rate)).toBe(frame);
          expect(frameAt(frameStartMs(frame, rate) - 1, rate)).toBe(frame - 1);
        },
      ),
      { seed: 13 },
    );
  });

  test("a frame that is no frame is refused", () => {
    expect(() => formatTimecode(-1, FRAME_RATES["25"])).toThrow(/-1/);
    expect(() => formatTimecode(1.5, FRAME_RATES["25"])).toThrow(/1.5/);
  });
});
