import { describe, expect, test } from "vitest";
import { ALL_OUTFITS } from "../../designs/starter.ts";
import { adjusted, NO_ADJUSTMENT } from "./adjust.ts";
import { findTextOf, type TextObject } from "./template.ts";

const strap = ALL_OUTFITS[0]?.templates.find(({ fieldSet }) => fieldSet === "name");
const name = strap && (findTextOf(strap, "name") as TextObject);

describe("adjustments of one page", () => {
  test("a text is moved and sized, others are the very same objects", () => {
    if (!name || !strap) throw new Error("no strap ships");
    const moved = adjusted(name, { name: { ...NO_ADJUSTMENT, xPx: 3, yPx: -10, scale: 1.5 } }) as TextObject;
    expect([moved.box.x, moved.box.y]).toEqual([name.box.x + 3, name.box.y - 10]);
    expect([moved.box.width, moved.box.height]).toEqual([name.box.width, name.box.height]);
    expect(moved.maxSizePx).toBe(name.maxSizePx * 1.5);
    expect(adjusted(name, { role: { ...NO_ADJUSTMENT, xPx: 3 } })).toBe(name);
    expect(adjusted(name, {})).toBe(name);
  });

  test("the same adjustment gives the same object, so that nothing is laid out anew", () => {
    if (!name) throw new Error("no strap ships");
    const once = adjusted(name, { name: { ...NO_ADJUSTMENT, xPx: 1 } });
    expect(adjusted(name, { name: { ...NO_ADJUSTMENT, xPx: 1 } })).toBe(once);
    expect(adjusted(name, { name: { ...NO_ADJUSTMENT, xPx: 2 } })).not.toBe(once);
  });

  test("a hidden text is left out", () => {
    if (!name) throw new Error("no strap ships");
    expect(adjusted(name, { name: { ...NO_ADJUSTMENT, isHidden: true } })).toBeUndefined();
  });
});
