import { describe, expect, test } from "vitest";
import { templateOf } from "../../../test-support/pages.ts";
import { areaOnCanvas, bedBox, bedDifference, withBed } from "./bed.ts";
import { findObject } from "./objects.ts";

const CANVAS = { widthPx: 1920, heightPx: 1080 };
const HASH = "a".repeat(64);

describe("a picture as a bed", () => {
  test("its size is held against the canvas", () => {
    expect(bedDifference(CANVAS, CANVAS)).toMatchObject({ isSame: true, isInProportion: true });
    expect(bedDifference(CANVAS, { widthPx: 1280, heightPx: 720 })).toEqual({
      byPx: { x: -640, y: -360 },
      isSame: false,
      isInProportion: true,
    });
    expect(bedDifference(CANVAS, { widthPx: 1920, heightPx: 1200 }).isInProportion).toBe(false);
  });
  test("what is free on it lies on the canvas where the picture lies", () => {
    const area = { x: 0.25, y: 0.5, width: 0.5, height: 0.25 };
    const on = (widthPx: number, heightPx: number, fit: "fill" | "whole" | "own") =>
      areaOnCanvas(CANVAS, { widthPx, heightPx }, fit, area);
    expect(on(960, 540, "fill")).toEqual({ x: 480, y: 540, width: 960, height: 270 });
    // Twice as wide as the canvas's proportions: its sides are cut off, or there is room above and below.
    expect(on(1920, 540, "fill")).toEqual({ x: 0, y: 540, width: 1920, height: 270 });
    expect(on(1920, 540, "whole")).toEqual({ x: 480, y: 540, width: 960, height: 135 });
    expect(on(400, 200, "own")).toEqual({ x: 860, y: 540, width: 200, height: 50 });
    expect(bedBox(CANVAS, { widthPx: 400, heightPx: 200 }, "own")).toEqual({
      x: 760,
      y: 440,
      width: 400,
      height: 200,
    });
  });
  test("lies behind everything, locked, with its fields one under another in the room for words", () => {
    const line = (name: string) => ({ name, label: name, hint: "", maxLength: 80, kind: "line" as const });
    const words = { x: 100, y: 800, width: 900, height: 200 };
    const { template: made } = withBed(
      templateOf(),
      { hash: HASH, name: "bed.png", ...CANVAS },
      { fit: "fill", isBehind: true },
      [line("name"), line("role")],
      words,
    );
    expect(made.objects.map(({ id }) => id)).toEqual(["bed", "name", "role"]);
    expect(findObject(made, "bed")).toMatchObject({
      source: { kind: "media", hash: HASH },
      editing: { name: "bed.png", isLocked: true },
    });
    expect([findObject(made, "name")?.box, findObject(made, "role")?.box]).toMatchObject([
      { x: 100, y: 800, width: 900, height: 120 },
      { x: 100, y: 920, width: 900, height: 80 },
    ]);
    expect(findObject(made, "role")).toMatchObject({
      words: { kind: "field", field: "role" },
      maxSizePx: 56,
    });
  });
});
