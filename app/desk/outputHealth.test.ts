import { describe, expect, test } from "vitest";
import { type Output, outputSchema } from "../../core/venue/plan.ts";
import type { PaintedReport } from "../../core/wire/wire.ts";
import { STARTER_OUTPUTS } from "../../designs/starterScreens.ts";
import { describeHealth, LATE_MS } from "./outputHealth.ts";

const WALL = STARTER_OUTPUTS[0] as Output;
const NOW_MS = 100_000;

const painted: Omit<PaintedReport, "kind"> = {
  seq: 4,
  atMs: NOW_MS - 100,
  frames: 30,
  missed: 0,
  slowestMs: 4,
  coldPaints: 0,
  plateBytes: 0,
  widthPx: WALL.widthPx,
  heightPx: WALL.heightPx,
  clock: { offsetMs: 3, roundTripMs: 2 },
  isHidden: false,
  sound: "on",
  hasGpu: null,
  screenHz: null,
  perSecond: 60,
  isSecure: true,
};
const window = (more: Partial<typeof painted> = {}, heardAtMs = NOW_MS - 200) => ({
  windowId: `w${heardAtMs}`,
  painted: { ...painted, ...more },
  heardAtMs,
});
const health = (windows: ReturnType<typeof window>[], output = WALL) =>
  describeHealth(output, { outputId: output.id, lastHeardAtMs: NOW_MS - 200, windows }, NOW_MS);

describe("how a screen does", () => {
  test("none was ever open, one was and is gone, one is there", () => {
    expect(describeHealth(WALL, undefined, NOW_MS)).toMatchObject({
      word: "no window",
      isBad: false,
      lateMs: null,
    });
    const lost = { outputId: WALL.id, lastHeardAtMs: NOW_MS - 65_000, windows: [] };
    expect(describeHealth(WALL, lost, NOW_MS)).toMatchObject({
      word: "lost 1:05",
      isBad: true,
      lateMs: 65_000,
    });
    expect(health([window()])).toMatchObject({ word: "live", isBad: false, lateMs: null });
    expect(health([window()]).lines.join()).toContain("60 frames a second, 0 missed");
    expect(health([window({ frames: 0 })]).lines.join()).toContain("at rest");
  });

  test("what was measured of its screen and machine, and what was chosen by that", () => {
    const said = (more: Partial<typeof painted>) => health([window(more)]).lines.join("; ");
    expect(said({})).not.toContain("screen draws");
    expect(said({ screenHz: 59.9402 })).toContain("its screen draws 59.94 frames a second");
    expect(said({ screenHz: 59.94 })).not.toContain("set to");
    expect(said({ screenHz: 60, perSecond: 25 })).toContain("set to 25 frames a second");
    const large = { widthPx: 3840, heightPx: 2160, hasGpu: false };
    expect(said(large)).toContain("no graphics processor: a clip in so large a picture costs frames");
    expect(said({ hasGpu: false })).not.toContain("no graphics processor");
    expect(said({ hasGpu: true })).toContain("drawn by a graphics processor");
    expect(health([window({ screenHz: 60, perSecond: 25 })]).isBad).toBe(false);
  });

  test("two windows of one output are both counted; one of them late is told with how many there are", () => {
    const late = NOW_MS - LATE_MS - 2_500;
    expect(health([window(), window({}, late)])).toMatchObject({ word: "late 4 s, 1 of 2", isBad: true });
    expect(health([window({}, late)]).word).toBe("late 4 s");
    expect(health([window(), window({}, NOW_MS - 300)]).lines[0]).toContain("2 windows");
  });

  test.each([
    [{ isHidden: true }, "asleep"],
    [{ sound: "refused" as const }, "no sound"],
    [{ widthPx: 1_280, heightPx: 720 }, "other size"],
    [{ clock: { offsetMs: 0, roundTripMs: 200 } }, "clock unsure"],
  ])("%j is bad: %s", (more, word) => expect(health([window(more)])).toMatchObject({ word, isBad: true }));

  test("what a turned output's window must measure is its glass", () => {
    const turned = outputSchema.parse({ ...WALL, fitting: { ...WALL.fitting, turnDeg: 90 } });
    expect(health([window()], turned).word).toBe("other size");
    expect(health([window({ widthPx: WALL.heightPx, heightPx: WALL.widthPx })], turned).word).toBe("live");
  });

  test("a clock that is hours off is said in hours, and harms nothing", () => {
    const ahead = health([window({ clock: { offsetMs: -7_200_000, roundTripMs: 4 } })]);
    expect(ahead).toMatchObject({ word: "live", isBad: false });
    expect(ahead.lines.join()).toContain("2:00:00 ahead, known to 2.0 ms");
  });
});
