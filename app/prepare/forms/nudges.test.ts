import { describe, expect, test } from "vitest";
import { adjustmentsSchema, NO_ADJUSTMENT } from "../../../core/scene/adjustment.ts";
import { describeAdjustment, nudge, withAdjustment } from "./nudges.ts";

const press = (key: string, code = key, more = {}) => ({ key, code, altKey: true, shiftKey: false, ...more });

describe("nudges", () => {
  test("arrows move by one pixel, with Shift by ten; there and back leaves nothing", () => {
    const once = nudge({}, "name", press("ArrowLeft"));
    expect(once).toEqual({ name: { ...NO_ADJUSTMENT, xPx: -1 } });
    const twice = nudge(once ?? {}, "name", press("ArrowDown", "ArrowDown", { shiftKey: true }));
    expect(twice?.name).toMatchObject({ xPx: -1, yPx: 10 });
    expect(nudge(once ?? {}, "name", press("ArrowRight"))).toEqual({});
    // The other fields stay as they are.
    expect(nudge({ role: { ...NO_ADJUSTMENT, isHidden: true } }, "name", press("ArrowUp"))).toHaveProperty(
      "role",
    );
  });

  test("size goes in steps between its bounds, by either row of keys", () => {
    let adjust = {};
    for (let i = 0; i < 100; i++) adjust = nudge(adjust, "name", press("+", "Equal")) ?? {};
    expect(adjustmentsSchema.parse(adjust).name?.scale).toBe(4);
    for (let i = 0; i < 200; i++) adjust = nudge(adjust, "name", press("–", "Minus")) ?? {};
    expect(adjustmentsSchema.parse(adjust).name?.scale).toBe(0.2);
    expect(nudge({}, "name", press("-", "NumpadSubtract"))?.name?.scale).toBe(0.95);
  });

  test("H hides and shows, 0 puts everything back, also a speed", () => {
    const hidden = nudge({}, "name", press("h", "KeyH"));
    expect(hidden?.name?.isHidden).toBe(true);
    expect(nudge(hidden ?? {}, "name", press("h", "KeyH"))).toEqual({});
    const fast = { items: { ...NO_ADJUSTMENT, speed: { kind: "pxPerSecond", px: 90 } as const } };
    expect(nudge(fast, "items", press("0", "Digit0"))).toEqual({});
  });

  test("without Alt, and for any other key, nothing is meant", () => {
    expect(nudge({}, "name", press("ArrowLeft", "ArrowLeft", { altKey: false }))).toBeUndefined();
    expect(nudge({}, "name", press("q", "KeyQ"))).toBeUndefined();
  });

  test("are told in words; none is no words", () => {
    expect(describeAdjustment(undefined)).toBeUndefined();
    expect(describeAdjustment({ ...NO_ADJUSTMENT, xPx: -3, yPx: 12, scale: 1.1 })).toBe(
      "3 px left, 12 px down, 110 % of its size",
    );
    expect(describeAdjustment({ ...NO_ADJUSTMENT, isHidden: true })).toBe("hidden");
    expect(withAdjustment({ name: NO_ADJUSTMENT }, "name", NO_ADJUSTMENT)).toEqual({});
  });
});
