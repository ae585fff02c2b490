import * as fc from "fast-check";
import { describe, expect, test } from "vitest";
import { box, make } from "../../../test-support/designs.ts";
import type { ReadableObject } from "../../scene/objectKinds.ts";
import { movePoint, pointsOf } from "./points.ts";

const BOX = { x: 100, y: 200, width: 400, height: 100 };
const stops = [
  { at: 0, color: "#000000" },
  { at: 0.5, color: "#888888" },
  { at: 1, color: "#ffffff" },
];
const filled = (fill: object, more: object = {}) =>
  make("rectangle", {
    id: "r",
    box: box(100, 200, 400, 100),
    fill: fill as never,
    ...more,
  }) as ReadableObject;
const linear = filled({ kind: "linear", angleDeg: 90, stops });
const radial = filled({ kind: "radial", center: { x: 0.5, y: 0.5 }, radius: 0.5, stops });
const at = (object: ReadableObject, name: string) => {
  const point = pointsOf(object, BOX).find((each) => each.name === name);
  if (!point) throw new Error(`no point ${name}`);
  return { x: Math.round(point.at.x), y: Math.round(point.at.y) };
};

/** Where a corner of a turned box is seen, by the matrix of CSS: about its pivot. */
function turned(
  { rotationDeg, pivot }: ReadableObject,
  placed: typeof BOX,
  corner: { x: number; y: number },
) {
  const angle = (Number(rotationDeg) * Math.PI) / 180;
  const about = { x: placed.x + pivot.x * placed.width, y: placed.y + pivot.y * placed.height };
  const [dx, dy] = [placed.x + corner.x - about.x, placed.y + corner.y - about.y];
  return {
    x: about.x + dx * Math.cos(angle) - dy * Math.sin(angle),
    y: about.y + dx * Math.sin(angle) + dy * Math.cos(angle),
  };
}

describe("points that are dragged on the canvas", () => {
  test("a straight gradient runs from side to side as CSS has it, and its colours lie on it", () => {
    expect([at(linear, "stop 0"), at(linear, "stop 1"), at(linear, "stop 2")]).toEqual([
      { x: 100, y: 250 },
      { x: 300, y: 250 },
      { x: 500, y: 250 },
    ]);
    // A colour goes along the line only, and no further than its neighbours.
    expect(movePoint(linear, BOX, "stop 1", { x: 200, y: 900 })).toMatchObject({
      fill: { stops: [{ at: 0 }, { at: 0.25 }, { at: 1 }] },
    });
    expect(movePoint(linear, BOX, "stop 1", { x: 9_000, y: 0 })).toMatchObject({
      fill: { stops: [{}, { at: 1 }, {}] },
    });
    expect(movePoint(linear, BOX, "angle", { x: 300, y: 400 })).toMatchObject({ fill: { angleDeg: 180 } });
  });
  test("a round one has its middle and its radius, as a share of the longer side", () => {
    expect(at(radial, "stop 2")).toEqual({ x: 500, y: 250 });
    expect(movePoint(radial, BOX, "center", { x: 100, y: 300 })).toMatchObject({
      fill: { center: { x: 0, y: 1 } },
    });
    expect(movePoint(radial, BOX, "radius", { x: 300, y: 150 })).toMatchObject({ fill: { radius: 0.25 } });
  });
  test("what is turned stays where it is seen while its pivot is moved", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: -360, max: 360 }),
        fc.integer({ min: 0, max: 700 }),
        fc.integer({ min: 0, max: 500 }),
        (rotationDeg, x, y) => {
          const before = filled({ kind: "none" }, { rotationDeg, pivot: { x: 0.25, y: 1 } });
          const after = movePoint(before, BOX, "pivot", { x, y });
          const placed = { ...BOX, x: Number(after.box.x), y: Number(after.box.y) };
          for (const corner of [
            { x: 0, y: 0 },
            { x: 400, y: 100 },
          ]) {
            const seen = turned(before, BOX, corner);
            const now = turned(after, placed, corner);
            expect(Math.hypot(seen.x - now.x, seen.y - now.y)).toBeLessThan(1);
          }
        },
      ),
      { seed: 15 },
    );
  });

  test("the pivot may lie outside, what is kept in sight may not", () => {
    const picture = make("picture", {
      id: "p",
      box: box(100, 200, 400, 100),
      source: { kind: "field", field: "picture" },
    }) as ReadableObject;
    expect(movePoint(picture, BOX, "pivot", { x: 900, y: 200 })).toMatchObject({ pivot: { x: 2, y: 0 } });
    expect(movePoint(picture, BOX, "focus", { x: 900, y: 225 })).toMatchObject({ focus: { x: 1, y: 0.25 } });
  });
  test("a point that is put where it is leaves the object as it is, however it is turned", () => {
    fc.assert(
      fc.property(fc.integer({ min: -180, max: 180 }), fc.constantFrom(linear, radial), (degrees, plain) => {
        const object = { ...plain, rotationDeg: degrees } as ReadableObject;
        for (const { name, at: there, kind } of pointsOf(object, BOX)) {
          if (kind === "gradient") continue;
          const [before, after] = [object, movePoint(object, BOX, name, there)].map((each) =>
            pointsOf(each as ReadableObject, BOX).find((point) => point.name === name),
          );
          expect(after?.at.x).toBeCloseTo(before?.at.x ?? 0, 0);
          expect(after?.at.y).toBeCloseTo(before?.at.y ?? 0, 0);
        }
      }),
      { seed: 20261129, numRuns: 100 },
    );
  });
});
