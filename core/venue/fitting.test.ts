import * as fc from "fast-check";
import { describe, expect, test } from "vitest";
import { cssOf, fittingMap, glassSize, IDENTITY, mapPoint, scaled, toQuad } from "./fitting.ts";
import { type Fitting, NO_FITTING } from "./plan.ts";

const W = 1920;
const H = 1080;
const corners = [
  { x: 0, y: 0 },
  { x: W, y: 0 },
  { x: W, y: H },
  { x: 0, y: H },
];
const put = (fitting: Partial<Fitting>) => {
  const map = fittingMap(W, H, { ...NO_FITTING, ...fitting });
  if (!map) throw new Error("no map");
  return corners.map((corner) => {
    const { x, y } = mapPoint(map, corner);
    return [Math.round(x * 1e6) / 1e6 + 0, Math.round(y * 1e6) / 1e6 + 0];
  });
};

describe("how a picture is put onto the glass", () => {
  test("as it is, it is not touched at all", () => {
    expect(fittingMap(W, H, NO_FITTING)).toEqual(IDENTITY);
    expect(cssOf(IDENTITY)).toBe("none");
    expect(cssOf(scaled(IDENTITY, 0.37))).toBe("none");
  });

  test.each([
    [
      { turnDeg: 90 },
      [
        [H, 0],
        [H, W],
        [0, W],
        [0, 0],
      ],
    ],
    [
      { turnDeg: 180 },
      [
        [W, H],
        [0, H],
        [0, 0],
        [W, 0],
      ],
    ],
    [
      { turnDeg: 270 },
      [
        [0, W],
        [0, 0],
        [H, 0],
        [H, W],
      ],
    ],
    [
      { mirrored: true },
      [
        [W, 0],
        [0, 0],
        [0, H],
        [W, H],
      ],
    ],
    [
      { mirrored: true, turnDeg: 180 },
      [
        [0, H],
        [W, H],
        [W, 0],
        [0, 0],
      ],
    ],
    [
      { marginsPx: { top: 54, right: 96, bottom: 54, left: 96 } },
      [
        [96, 54],
        [W - 96, 54],
        [W - 96, H - 54],
        [96, H - 54],
      ],
    ],
  ] as const)("%j", (fitting, expected) => {
    expect(put(fitting as Partial<Fitting>)).toEqual(expected);
  });

  test("a turned picture fills a glass of the turned size", () => {
    expect(glassSize(W, H, { ...NO_FITTING, turnDeg: 90 })).toEqual({ widthPx: H, heightPx: W });
    expect(glassSize(W, H, { ...NO_FITTING, turnDeg: 180 })).toEqual({ widthPx: W, heightPx: H });
  });

  test("seed 31: pinned corners lie where they were put, at any size it is drawn", () => {
    const offset = fc.integer({ min: -250, max: 250 });
    const pin = fc.record({ xPx: offset, yPx: offset });
    fc.assert(
      fc.property(
        fc.tuple(pin, pin, pin, pin),
        fc.double({ min: 0.1, max: 3, noNaN: true }),
        (pins, scale) => {
          const map = fittingMap(W, H, { ...NO_FITTING, corners: pins });
          if (!map) throw new Error("these corners hold a picture");
          for (const [i, corner] of corners.entries()) {
            const at = mapPoint(scaled(map, scale), { x: corner.x * scale, y: corner.y * scale });
            expect(at.x).toBeCloseTo((corner.x + (pins[i]?.xPx ?? 0)) * scale, 4);
            expect(at.y).toBeCloseTo((corner.y + (pins[i]?.yPx ?? 0)) * scale, 4);
          }
        },
      ),
      { seed: 31 },
    );
  });

  test("corners that lie on one line hold no picture", () => {
    expect(
      toQuad(W, H, [
        { x: 0, y: 0 },
        { x: 0, y: 0 },
        { x: 0, y: 0 },
        { x: 0, y: 0 },
      ]),
    ).toBeUndefined();
  });
});
