import { type Canvas, createCanvas } from "@napi-rs/canvas";
import { describe, expect, test } from "vitest";
import type { Picture, PictureItem } from "../core/picture/picture.ts";
import { contextOf, serverPaintKit } from "../server/stills/serverCanvas.ts";
import { type PaintKit, paintPicture } from "./paint.ts";

const SIZE = 100;
const square = (more: Partial<PictureItem> = {}): PictureItem =>
  ({
    kind: "rectangle",
    rect: { x: 20, y: 20, width: 60, height: 60 },
    radiiPx: [0, 0, 0, 0],
    fill: { kind: "solid", color: "#ff0000" },
    stroke: null,
    shadows: [],
    ...more,
  }) as PictureItem;
const picture = (items: PictureItem[], more: Partial<Picture> = {}): Picture => ({
  bounds: { x: 0, y: 0, width: SIZE, height: SIZE },
  items,
  ...more,
});

/** A picture file whose left half is white, and whose right half is black or clear. */
function half(right: string | null): Canvas {
  const canvas = createCanvas(SIZE, SIZE);
  const context = canvas.getContext("2d");
  context.fillStyle = "#ffffff";
  context.fillRect(0, 0, SIZE / 2, SIZE);
  if (right !== null) {
    context.fillStyle = right;
    context.fillRect(SIZE / 2, 0, SIZE / 2, SIZE);
  }
  return canvas;
}

function alphaAt(painted: Picture, file?: Canvas, more: Partial<PaintKit> = {}) {
  const canvas = createCanvas(SIZE, SIZE);
  const images = new Map(file ? [["half", file as never]] : []);
  const kit = { ...serverPaintKit({ outline: () => [] }, images), ...more };
  paintPicture(contextOf(canvas), painted, 1, kit);
  const { data } = canvas.getContext("2d").getImageData(0, 0, SIZE, SIZE);
  return (x: number, y: number) => data[(y * SIZE + x) * 4 + 3] as number;
}

const matte = (by: "alpha" | "brightness", isInverted = false): Pick<Picture, "matte"> => ({
  matte: {
    softPx: 0,
    picture: {
      paint: { kind: "image", file: "half", dest: { x: 0, y: 0, width: SIZE, height: SIZE } },
      by,
      isInverted,
    },
  },
});

describe("a matte", () => {
  test("lets through where it is opaque, or where it is bright, or the other way round", () => {
    const of = (more: Pick<Picture, "matte">, file: Canvas) => {
      const at = alphaAt(picture([square()], more), file);
      return [at(30, 50), at(70, 50)];
    };
    expect(of(matte("alpha"), half(null))).toEqual([255, 0]);
    expect(of(matte("alpha", true), half(null))).toEqual([0, 255]);
    expect(of(matte("brightness"), half("#000000"))).toEqual([255, 0]);
    expect(of(matte("brightness", true), half("#000000"))).toEqual([0, 255]);
  });

  test("that is missing hides nothing; while it is on its way, what it cuts out is left out", () => {
    expect(alphaAt(picture([square()], matte("alpha")))(70, 50)).toBe(255);
    const onItsWay = alphaAt(picture([square()], matte("alpha")), undefined, { findImage: () => "loading" });
    expect(onItsWay(70, 50)).toBe(0);
  });
});

test("soft edges fade inwards: clear at the edge, whole inside, and nothing outside", () => {
  const at = alphaAt(picture([square()], { matte: { softPx: 12, picture: null } }));
  const row = [18, 21, 26, 34, 50].map((x) => at(x, 50));
  expect(row[0]).toBe(0);
  expect(row[1]).toBeLessThan(60);
  expect(row[4]).toBe(255);
  for (let i = 1; i < row.length; i++) expect(row[i]).toBeGreaterThanOrEqual(row[i - 1] as number);
});

test("what has an outline and a fill casts the shadow of both, as dark as one without an outline", () => {
  const shadows = [{ color: "#000000", blurPx: 0, offsetXPx: 0, offsetYPx: 0 }];
  const stroke = { color: "#00ff00", widthPx: 6 };
  const seen = (item: PictureItem) => {
    const canvas = createCanvas(SIZE, SIZE);
    const moved = { ...item, shadows: [{ ...shadows[0], offsetXPx: 60 }] } as PictureItem;
    const small = { ...moved, rect: { x: 10, y: 30, width: 24, height: 24 } } as PictureItem;
    paintPicture(contextOf(canvas), picture([small]), 1, serverPaintKit({ outline: () => [] }));
    const { data } = canvas.getContext("2d").getImageData(0, 0, SIZE, SIZE);
    return (x: number, y: number) => data[(y * SIZE + x) * 4 + 3] as number;
  };
  const both = seen(square({ stroke }));
  // The middle of the shadow is not hollow, and it reaches out by the outline.
  expect([both(82, 42), both(68, 42), both(60, 42)]).toEqual([255, 255, 0]);
  const half = seen(
    square({ stroke: { ...stroke, color: "#00ff0080" }, fill: { kind: "solid", color: "#ff000080" } }),
  );
  expect(half(82, 42)).toBeLessThan(140);
});
