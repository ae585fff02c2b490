import { describe, expect, test } from "vitest";
import { prepareBench } from "../../test-support/contents.ts";
import { ALL_OUTFITS, box, crawl, rectangle, solid } from "../../test-support/designs.ts";
import { HD, lay, partOf, plateOf, templateOf } from "../../test-support/pages.ts";
import { adjusted, findAdjustment } from "./adjust.ts";
import { NO_ADJUSTMENT } from "./adjustment.ts";
import type { TextObject, TextSpec } from "./kinds/text.ts";
import { findTextOf } from "./template.ts";

const bench = prepareBench();
const strap = ALL_OUTFITS[0]?.templates.find(({ fieldSet }) => fieldSet === "name");
const name = strap && (findTextOf(strap, "name") as TextObject);

describe("adjustments of one page", () => {
  test("a text is moved and sized", () => {
    if (!name) throw new Error("no strap ships");
    const moved = adjusted(name, { ...NO_ADJUSTMENT, xPx: 3, yPx: -10, scale: 1.5 }) as TextObject;
    expect([moved.box.x, moved.box.y]).toEqual([name.box.x + 3, name.box.y - 10]);
    expect([moved.box.width, moved.box.height]).toEqual([name.box.width, name.box.height]);
    expect(moved.maxSizePx).toBe(name.maxSizePx * 1.5);
  });

  test("what shows a field goes by it, what shows none by its own id", () => {
    if (!strap) throw new Error("no strap ships");
    const shape = rectangle("square", box(0, 0, 200, 200), solid("accent"));
    const adjust = { name: { ...NO_ADJUSTMENT, xPx: 3 }, "#square": { ...NO_ADJUSTMENT, yPx: 4 } };
    expect(findAdjustment(findTextOf(strap, "name") as TextSpec, adjust)).toBe(adjust.name);
    expect(findAdjustment(shape, adjust)).toBe(adjust["#square"]);
    expect(findAdjustment(findTextOf(strap, "name") as TextSpec, { role: NO_ADJUSTMENT })).toBeUndefined();
  });

  test("the same adjustment gives the same object, so that nothing is laid out anew", () => {
    if (!name) throw new Error("no strap ships");
    const once = adjusted(name, { ...NO_ADJUSTMENT, xPx: 1 });
    expect(adjusted(name, { ...NO_ADJUSTMENT, xPx: 1 })).toBe(once);
    expect(adjusted(name, { ...NO_ADJUSTMENT, xPx: 2 })).not.toBe(once);
  });

  test("a hidden text is left out", () => {
    if (!strap) throw new Error("no strap ships");
    const adjust = { name: { ...NO_ADJUSTMENT, isHidden: true } };
    const ids = (more = {}) =>
      lay(strap, { name: "Ilse", role: "" }, bench.shaper, more).parts.map(({ objectId }) => objectId);
    expect(ids()).toContain("name");
    expect(ids({ adjust })).not.toContain("name");
  });

  test("what has a rule is shown on one page whatever its rule says; what is hidden stays so", () => {
    const ruled = (id: string, more: object) =>
      rectangle(id, box(0, 0, 200, 200), solid("accent"), { showWhen: more as never });
    const template = templateOf(
      ruled("square", { kind: "notEmpty", field: "role" }),
      // It follows what is shown, not what the rule would have shown.
      ruled("beside", { kind: "drawn", object: "square" }),
    );
    const ids = (adjust: object) =>
      lay(template, { name: "Ilse", role: "" }, bench.shaper, { adjust: adjust as never }).parts.map(
        ({ objectId }) => objectId,
      );
    expect(ids({})).toEqual([]);
    expect(ids({ "#square": { ...NO_ADJUSTMENT, isShown: true } })).toEqual(["square", "beside"]);
    expect(ids({ "#square": { ...NO_ADJUSTMENT, isShown: true, isHidden: true } })).not.toContain("square");
  });

  test("a crawl goes as fast as the page says, on a smaller screen in proportion; a text has no speed", () => {
    const speed = { kind: "pxPerSecond", px: 90 } as const;
    const adjust = { items: { ...NO_ADJUSTMENT, speed } };
    const strip = crawl("c", "items", box(0, 0, 1_000, 80), 40);
    const pxPerMs = (output: { widthPx: number; heightPx: number }, more = {}) => {
      const { parts } = lay(templateOf(strip), { items: "Soup in the sail room" }, bench.shaper, {
        output,
        ...more,
      });
      const { content } = partOf(parts, "c");
      if (content.kind !== "strip") throw new Error(content.kind);
      return content.pxPerMs;
    };
    expect(pxPerMs(HD, { adjust })).toBeCloseTo(0.09, 9);
    expect(pxPerMs({ widthPx: 960, heightPx: 540 }, { adjust })).toBeCloseTo(0.045, 9);
    expect(pxPerMs(HD)).not.toBeCloseTo(0.09, 3);
    if (!name) throw new Error("no strap ships");
    expect(adjusted(name, { ...NO_ADJUSTMENT, speed })).not.toHaveProperty("speed");
  });

  test("a whole page stands elsewhere and in another size, on any screen in proportion to it", () => {
    const square = rectangle("square", box(860, 440, 200, 200), solid("accent"));
    const whole = { xPercent: 10, yPercent: -20, scale: 0.5 };
    const placed = (output: { widthPx: number; heightPx: number }) => {
      const { parts } = lay(templateOf(square), {}, bench.shaper, { output, whole });
      const part = partOf(parts, "square");
      const { bounds } = plateOf(parts, "square").picture;
      return { x: part.at.x + bounds.x, y: part.at.y + bounds.y, width: bounds.width, height: bounds.height };
    };
    // The middle stays the middle: 100 px to the left of it become 50, then 10 % of 1920 to the right.
    expect(placed(HD)).toEqual({ x: 960 - 50 + 192, y: 540 - 50 - 216, width: 100, height: 100 });
    expect(placed({ widthPx: 960, heightPx: 540 })).toEqual({ x: 551, y: 137, width: 50, height: 50 });
  });
});
