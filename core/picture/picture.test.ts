import { createCanvas } from "@napi-rs/canvas";
import * as fc from "fast-check";
import { describe, expect, test } from "vitest";
import { blurPixels } from "./blur.ts";
import { chromaOf, keyPixels, matteOf, prepareKey } from "./chromaKey.ts";
import { placeInBox } from "./place.ts";

describe("a picture in a box", () => {
  const box = { x: 100, y: 50, width: 400, height: 200 };
  const middle = { x: 0.5, y: 0.5 };

  test("as is, fit, fill and stretch", () => {
    const natural = { widthPx: 100, heightPx: 100 };
    expect(placeInBox(natural, box, "asIs", middle)).toEqual({ x: 250, y: 100, width: 100, height: 100 });
    expect(placeInBox(natural, box, "fit", middle)).toEqual({ x: 200, y: 50, width: 200, height: 200 });
    expect(placeInBox(natural, box, "fill", middle)).toEqual({ x: 100, y: -50, width: 400, height: 400 });
    expect(placeInBox(natural, box, "stretch", middle)).toEqual(box);
  });

  test("seed 3: fit stays inside, fill covers, both keep the shape, and the focus stays in sight", () => {
    const side = fc.integer({ min: 1, max: 4_000 });
    const part = fc.double({ min: 0, max: 1, noNaN: true });
    fc.assert(
      fc.property(side, side, part, part, (widthPx, heightPx, x, y) => {
        const natural = { widthPx, heightPx };
        const fit = placeInBox(natural, box, "fit", { x, y });
        expect(fit.x).toBeGreaterThanOrEqual(box.x - 1e-6);
        expect(fit.x + fit.width).toBeLessThanOrEqual(box.x + box.width + 1e-6);
        const fill = placeInBox(natural, box, "fill", { x, y });
        expect(fill.x).toBeLessThanOrEqual(box.x + 1e-6);
        expect(fill.x + fill.width).toBeGreaterThanOrEqual(box.x + box.width - 1e-6);
        expect(fill.y + fill.height).toBeGreaterThanOrEqual(box.y + box.height - 1e-6);
        for (const rect of [fit, fill]) expect(rect.width / rect.height).toBeCloseTo(widthPx / heightPx, 4);
        const focus = fill.x + fill.width * x;
        expect(focus).toBeGreaterThanOrEqual(box.x - 1e-6);
        expect(focus).toBeLessThanOrEqual(box.x + box.width + 1e-6);
      }),
      { seed: 3 },
    );
  });
});

describe("chroma key", () => {
  // Source: Rec. ITU-R BT.709-6, items 3.2 and 3.3: E'Y = 0.2126 R + 0.7152 G + 0.0722 B; E'CB = (B − Y)/1.8556, E'CR = (R − Y)/1.5748.
  test("colour differences are those of BT.709", () => {
    expect(chromaOf(0, 0, 1).cb).toBeCloseTo(0.5, 9);
    expect(chromaOf(1, 0, 0).cr).toBeCloseTo(0.5, 9);
    expect(chromaOf(0, 1, 0).cb).toBeCloseTo(-0.7152 / 1.8556, 9);
    expect(chromaOf(0, 1, 0).cr).toBeCloseTo(-0.7152 / 1.5748, 9);
  });

  const key = { color: "#12a03f", tolerance: 0.3, softness: 0.2, spill: 1 };

  test("the key colour is clear, and every grey is solid", () => {
    const prepared = prepareKey(key);
    expect(matteOf(prepared, 0x12 / 255, 0xa0 / 255, 0x3f / 255)).toBe(0);
    for (let grey = 0; grey <= 255; grey++)
      expect(matteOf(prepared, grey / 255, grey / 255, grey / 255)).toBe(1);
  });

  test("spill is taken out of what stays, and greys are left alone", () => {
    const data = new Uint8ClampedArray([120, 160, 120, 255, 128, 128, 128, 255, 0x12, 0xa0, 0x3f, 255]);
    keyPixels(prepareKey(key), data);
    expect((data[1] as number) - (data[0] as number)).toBeLessThan(14);
    expect([...data.slice(4, 8)]).toEqual([128, 128, 128, 255]);
    expect(data[11]).toBe(0);
    const left = new Uint8ClampedArray([120, 160, 120, 255]);
    keyPixels(prepareKey({ ...key, spill: 0 }), left);
    expect([...left.slice(0, 3)]).toEqual([120, 160, 120]);
  });

  test("seed 17: pixels and the formula agree, and more tolerance never keeps more", () => {
    const channel = fc.integer({ min: 0, max: 255 });
    fc.assert(
      fc.property(
        channel,
        channel,
        channel,
        fc.double({ min: 0, max: 0.8, noNaN: true }),
        (r, g, b, tolerance) => {
          const one = prepareKey({ ...key, tolerance });
          const more = prepareKey({ ...key, tolerance: tolerance + 0.1 });
          const data = new Uint8ClampedArray([r, g, b, 255]);
          keyPixels(one, data);
          expect(
            Math.abs((data[3] as number) - matteOf(one, r / 255, g / 255, b / 255) * 255),
          ).toBeLessThanOrEqual(1);
          expect(matteOf(more, r / 255, g / 255, b / 255)).toBeLessThanOrEqual(
            matteOf(one, r / 255, g / 255, b / 255) + 1e-9,
          );
        },
      ),
      { seed: 17 },
    );
  });
});

describe("blur", () => {
  // Source: W3C Filter Effects, feGaussianBlur: three box blurs approximate the Gaussian to within about 3 %.
  test("spreads a point as a Gaussian of that deviation does", () => {
    const size = 61;
    const data = new Uint8ClampedArray(size * size * 4);
    for (let y = 28; y <= 32; y++)
      for (let x = 28; x <= 32; x++) data.set([255, 255, 255, 255], (y * size + x) * 4);
    blurPixels(data, size, size, 6);
    let sum = 0;
    let spread = 0;
    for (let y = 0; y < size; y++)
      for (let x = 0; x < size; x++) {
        const alpha = data[(y * size + x) * 4 + 3] as number;
        sum += alpha;
        spread += alpha * (x - 30) ** 2;
      }
    // The square's own variance is 2.
    expect(Math.abs(Math.sqrt(spread / sum - 2) - 6)).toBeLessThan(0.6);
  });

  test("keeps colours free of what is clear, and leaves a plain field as it is", () => {
    const canvas = createCanvas(40, 40);
    const context = canvas.getContext("2d");
    context.fillStyle = "#ff8000";
    context.fillRect(10, 10, 20, 20);
    const { data } = context.getImageData(0, 0, 40, 40);
    blurPixels(data, 40, 40, 3);
    const edge = (20 * 40 + 9) * 4;
    expect(data[edge + 3]).toBeGreaterThan(20);
    expect([...data.slice(edge, edge + 3)].map((v, i) => Math.abs(v - ([255, 128, 0][i] as number)))).toEqual(
      [0, expect.any(Number), 0],
    );
    const field = new Uint8ClampedArray(20 * 20 * 4).fill(200);
    const before = [...field.slice(10 * 20 * 4 + 40, 10 * 20 * 4 + 44)];
    blurPixels(field, 20, 20, 0.2);
    expect([...field.slice(10 * 20 * 4 + 40, 10 * 20 * 4 + 44)]).toEqual(before);
  });
});
