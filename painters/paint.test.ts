import { createCanvas } from "@napi-rs/canvas";
import { beforeAll, describe, expect, test } from "vitest";
import type { Picture, PictureItem } from "../core/picture/picture.ts";
import type { Shaper } from "../core/text/shaper.ts";
import { loadShaper } from "../server/fonts/shippedFonts.ts";
import { contextOf, serverPaintKit } from "../server/stills/serverCanvas.ts";
import { type PaintKit, paintPicture } from "./paint.ts";

let shaper: Shaper;
beforeAll(async () => {
  shaper = await loadShaper();
});

const solid = (color: string) => ({ kind: "solid", color }) as const;
const plain = { stroke: null, shadows: [] };
const bar = (more: Partial<Extract<PictureItem, { kind: "rectangle" }>> = {}): PictureItem => ({
  kind: "rectangle",
  rect: { x: 10, y: 10, width: 80, height: 40 },
  radiiPx: [16, 16, 16, 16],
  fill: solid("#ff0000"),
  ...plain,
  ...more,
});

function paint(items: readonly PictureItem[], scale = 1, kit: Partial<PaintKit> = {}) {
  const picture: Picture = { bounds: { x: 0, y: 0, width: 100, height: 60 }, items };
  const canvas = createCanvas(100 * scale, 60 * scale);
  const context = canvas.getContext("2d");
  paintPicture(contextOf(canvas), picture, scale, { ...serverPaintKit(shaper), ...kit });
  const { data } = context.getImageData(0, 0, canvas.width, canvas.height);
  return (x: number, y: number) => [
    ...data.slice((y * canvas.width + x) * 4, (y * canvas.width + x) * 4 + 4),
  ];
}

describe("painting", () => {
  test("a rounded bar is filled within and open at its corners", () => {
    const at = paint([bar()]);
    expect(at(50, 30)).toEqual([255, 0, 0, 255]);
    expect(at(10, 10)).toEqual([0, 0, 0, 0]);
    expect(at(89, 49)[3]).toBeLessThan(20);
    expect(at(50, 10)).toEqual([255, 0, 0, 255]);
    expect(at(50, 9)).toEqual([0, 0, 0, 0]);
  });

  test("corners stay true at twice the scale", () => {
    const at = paint([bar()], 2);
    expect(at(20, 20)).toEqual([0, 0, 0, 0]);
    expect(at(100, 60)).toEqual([255, 0, 0, 255]);
  });

  test("a picture on its way is left out; a missing one is a quiet stand-in", () => {
    const fill = { kind: "image", file: "bed", dest: { x: 10, y: 10, width: 80, height: 40 } } as const;
    const center = (found: "loading" | "missing") =>
      paint([bar({ fill })], 1, { findImage: () => found })(50, 30);
    expect(center("loading")).toEqual([0, 0, 0, 0]);
    expect(center("missing")).toEqual([90, 95, 102, 255]);
  });

  test("a gradient runs from its first colour to its last", () => {
    const fill = {
      kind: "linear",
      x0: 10,
      y0: 0,
      x1: 90,
      y1: 0,
      stops: [
        { at: 0, color: "#000000" },
        { at: 1, color: "#ffffff" },
      ],
    } as const;
    const at = paint([bar({ fill, radiiPx: [0, 0, 0, 0] })]);
    expect(at(11, 30)[0]).toBeLessThan(8);
    expect(at(88, 30)[0]).toBeGreaterThan(247);
    expect(Math.abs((at(50, 30)[0] ?? 0) - 128)).toBeLessThan(4);
  });

  test("words are inked at their place, with their outline under them and a shadow that ends", () => {
    const glyphs = shaper
      .shape("literata-500", "H", 0, 1, "ltr", "Latn")
      .map(({ id }) => ({ id, x: 20, y: 50 }));
    const words: PictureItem = {
      kind: "glyphs",
      fontId: "literata-500",
      sizePx: 48,
      scaleX: 1,
      glyphs,
      fill: solid("#ffffff"),
      stroke: { color: "#0000ff", widthPx: 4 },
      shadows: [],
    };
    const at = paint([words]);
    const column = Array.from({ length: 60 }, (_, x) => at(x, 35));
    expect(column.some(([r, g, b, a]) => r === 255 && g === 255 && b === 255 && a === 255)).toBe(true);
    expect(column.some(([r, , b, a]) => (r ?? 0) < 30 && (b ?? 0) > 220 && (a ?? 0) > 220)).toBe(true);
    expect(at(90, 35)).toEqual([0, 0, 0, 0]);
    const shadowed = paint([
      bar({
        rect: { x: 30, y: 20, width: 30, height: 15 },
        shadows: [{ color: "#000000", blurPx: 6, offsetXPx: 0, offsetYPx: 8 }],
      }),
    ]);
    expect(shadowed(45, 40)[3]).toBeGreaterThan(60);
    expect(shadowed(45, 58)[3]).toBeLessThan(30);
  });
});
