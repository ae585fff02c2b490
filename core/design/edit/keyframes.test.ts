import { describe, expect, test } from "vitest";
import { type Easing, easeAt } from "../../motion/easing.ts";
import { REST } from "../../motion/pose.ts";
import { MOVING_PROPERTIES, type Track, trackAt, trackSchema } from "../../motion/track.ts";
import type { Motion } from "../../scene/motion.ts";
import { motionSchema, STILL } from "../../scene/motion.ts";
import {
  addKeyframe,
  BANDS,
  mirrorEasing,
  mirrorTracks,
  newTrack,
  removeKeyframe,
  setKeyframe,
  shiftTracks,
  spanOf,
  tracksIn,
  withTracks,
} from "./keyframes.ts";

const SLIDE: Track = {
  property: "offsetXPx",
  keyframes: [
    { atMs: 100, value: -100, easing: "ease-out" },
    { atMs: 400, value: 20, easing: "linear" },
    { atMs: 500, value: 0, easing: "linear" },
  ],
};
const FADE: Track = {
  property: "opacity",
  keyframes: [
    { atMs: 0, value: 0, easing: "linear" },
    { atMs: 300, value: 1, easing: "linear" },
  ],
};
const BOTH = [SLIDE, FADE];
const times = (tracks: readonly Track[], at = 0) => tracks[at]?.keyframes.map(({ atMs }) => atMs);

describe("keyframes", () => {
  test("one is moved in time between those beside it, and no further", () => {
    expect(times(setKeyframe(BOTH, 0, 1, { atMs: 250 }))).toEqual([100, 250, 500]);
    expect(times(setKeyframe(BOTH, 0, 1, { atMs: 2_000 }))).toEqual([100, 499, 500]);
    expect(times(setKeyframe(BOTH, 0, 1, { atMs: -50 }))).toEqual([100, 101, 500]);
    expect(times(setKeyframe(BOTH, 0, 2, { atMs: 99_999 }))).toEqual([100, 400, 10_000]);
    expect(setKeyframe(BOTH, 0, 1, { atMs: 250 })[1]).toBe(FADE);
  });

  test("one that is added moves nothing by itself where the pace is even", () => {
    const more = addKeyframe([FADE], 0, 150);
    expect(more[0]?.keyframes[1]).toEqual({ atMs: 150, value: 0.5, easing: "linear" });
    for (let ms = 0; ms <= 300; ms += 25)
      expect(trackAt(more[0] as Track, ms)).toBeCloseTo(trackAt(FADE, ms), 6);
    expect(addKeyframe([FADE], 0, 300)).toEqual([FADE]);
  });

  test.each(MOVING_PROPERTIES)(
    "a new track of %s begins elsewhere and comes to where parts rest",
    (property) => {
      const comes = newTrack(property, "enter");
      expect(trackAt(comes, 10_000)).toBe(REST[property]);
      expect(trackAt(comes, 0)).not.toBe(REST[property]);
      expect(trackAt(newTrack(property, "exit"), 0)).toBe(REST[property]);
      expect(trackAt(newTrack(property, "stay"), 0)).toBe(REST[property]);
    },
  );

  test("the last one taken away takes its track with it, and the last track a loop", () => {
    const one = { ...FADE, keyframes: FADE.keyframes.slice(0, 1) };
    expect(removeKeyframe([one, SLIDE], 0, 0)).toEqual([SLIDE]);
    const loop = withTracks(STILL as Motion, "stay", [FADE]);
    expect(loop.stay?.tracks).toEqual([FADE]);
    expect(withTracks(loop, "stay", []).stay).toBeNull();
  });

  test("all together are moved in time, not before the beginning", () => {
    expect(spanOf(BOTH)).toEqual({ fromMs: 0, untilMs: 500 });
    expect(times(shiftTracks([SLIDE], -500))).toEqual([0, 300, 400]);
    expect(times(shiftTracks([SLIDE], 99_999))).toEqual([9_600, 9_900, 10_000]);
    expect(spanOf([])).toBeUndefined();
  });

  test.each(BANDS)("what is set in the band %s is there and is what the format allows", (band) => {
    const motion = withTracks(STILL as Motion, band, [FADE]);
    expect(tracksIn(motion, band)).toEqual([FADE]);
    expect(motionSchema.parse(motion)).toEqual(motion);
    for (const other of BANDS) if (other !== band) expect(tracksIn(motion, other)).toEqual([]);
  });

  test.each(MOVING_PROPERTIES)(
    "a new track of %s is one that the format allows and ends at rest",
    (property) => {
      for (const band of BANDS) {
        const track = newTrack(property, band);
        expect(band === "stay" ? track : trackSchema.parse(track)).toEqual(track);
        const first = track.keyframes[0]?.value;
        const last = track.keyframes.at(-1)?.value;
        if (band === "stay") expect(first).toBe(last);
        else expect(first).not.toBe(last);
      }
    },
  );

  test("backwards, every instant is that of the arrival", () => {
    const away = mirrorTracks(BOTH);
    for (const [i, track] of BOTH.entries())
      for (let ms = 0; ms <= 500; ms += 10)
        expect(trackAt(away[i] as Track, 500 - ms)).toBeCloseTo(trackAt(track, ms), 3);
    expect(mirrorTracks(away, 500)).toEqual(
      BOTH.map((track) => ({
        ...track,
        // What followed the last keyframe was never seen.
        keyframes: track.keyframes.map((key, i) =>
          i === track.keyframes.length - 1 ? { ...key, easing: "linear" } : key,
        ),
      })),
    );
  });

  test.each<Easing>([
    "linear",
    "ease",
    "ease-in",
    "ease-out",
    "ease-in-out",
    { kind: "bezier", x1: 0.16, y1: 0.9, x2: 0.3, y2: 1 },
    { kind: "bezier", x1: 0.3, y1: -0.6, x2: 0.7, y2: 1.6 },
  ])("the easing %j backwards is 1 − f(1 − t)", (easing) => {
    for (let t = 0; t <= 1; t += 0.05)
      expect(easeAt(mirrorEasing(easing), t)).toBeCloseTo(1 - easeAt(easing, 1 - t), 4);
  });
});
