import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { prepareBench } from "../../test-support/contents.ts";
import { box, group, rectangle, solid, text } from "../../test-support/designs.ts";
import { lay, partOf, templateOf } from "../../test-support/pages.ts";
import type { SceneObject } from "./objectKinds.ts";
import { readTemplate } from "./readTemplate.ts";
import { findTieCircle, NO_TIES, type Tied, tieBoxes } from "./ties.ts";

const bench = prepareBench();
const CANVAS = { widthPx: 1_000, heightPx: 1_000 };
const tied = (
  id: string,
  x: number,
  y: number,
  width: number,
  height: number,
  ties = {},
  isDrawn = true,
): Tied => ({
  id,
  box: { x, y, width, height },
  ties: { ...NO_TIES, ...ties },
  isDrawn,
});
const to = (object: string, edge: string, gapPx = 0) => ({ to: { kind: "box", object }, edge, gapPx });
const toCanvas = (edge: string, gapPx = 0) => ({ to: { kind: "canvas" }, edge, gapPx });
const none = () => undefined;

describe("edges that follow edges", () => {
  test("one edge tied moves a box, two stretch it; least and most hold, and the first tied edge stays", () => {
    const boxes = tieBoxes(
      [
        tied("a", 100, 100, 300, 50),
        tied("moved", 0, 0, 40, 40, { left: to("a", "right", 10) }),
        tied("ended", 0, 0, 40, 40, { right: to("a", "left", -10), bottom: toCanvas("bottom", -20) }),
        tied("stretched", 0, 0, 40, 40, { left: to("a", "left", -20), right: to("a", "right", 20) }),
        tied("most", 0, 0, 40, 40, { left: to("a", "left"), right: to("a", "right"), mostWidthPx: 120 }),
        tied("least", 0, 0, 40, 40, { left: to("a", "right"), right: to("a", "right"), leastWidthPx: 90 }),
        tied("middle", 0, 0, 40, 40, { left: to("a", "center") }),
      ],
      CANVAS,
      none,
    );
    expect(Object.fromEntries(boxes)).toEqual({
      moved: { x: 410, y: 0, width: 40, height: 40 },
      ended: { x: 50, y: 940, width: 40, height: 40 },
      stretched: { x: 80, y: 0, width: 340, height: 40 },
      most: { x: 100, y: 0, width: 120, height: 40 },
      least: { x: 400, y: 0, width: 90, height: 40 },
      middle: { x: 250, y: 0, width: 40, height: 40 },
    });
  });

  test("rows close up over what is not drawn, however many are missing", () => {
    const rows = (drawn: readonly boolean[]) => {
      const objects = drawn.map((isDrawn, i) =>
        tied(`row${i}`, 0, 100, 500, 60, i === 0 ? {} : { top: to(`row${i - 1}`, "bottom", 8) }, isDrawn),
      );
      const boxes = tieBoxes(objects, CANVAS, none);
      return drawn.map((isDrawn, i) => (isDrawn ? (boxes.get(`row${i}`)?.y ?? 100) : null));
    };
    expect(rows([true, true, true])).toEqual([100, 168, 236]);
    expect(rows([true, false, true])).toEqual([100, null, 168]);
    expect(rows([true, false, false, true])).toEqual([100, null, null, 168]);
    expect(rows([false, true, true])).toEqual([null, 108, 176]);
  });

  test("seed 14: whatever is tied to whatever, without circles every box is found, and the order of objects does not matter", () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.nat(9), fc.nat(3), fc.boolean(), fc.integer({ min: -50, max: 50 })), {
          minLength: 2,
          maxLength: 12,
        }),
        (plan) => {
          const objects = plan.map(([target, edge, isDrawn, gap], i) => {
            const other =
              i === 0
                ? toCanvas("left")
                : to(`o${target % i}`, ["left", "right", "top", "bottom"][edge] as string, gap);
            const side = edge < 2 ? "left" : "top";
            return tied(`o${i}`, i * 10, i * 20, 50, 30, i === 0 ? {} : { [side]: other }, isDrawn);
          });
          expect(findTieCircle(objects)).toBeUndefined();
          const forwards = tieBoxes(objects, CANVAS, none);
          const backwards = tieBoxes([...objects].reverse(), CANVAS, none);
          for (const [id, rect] of forwards) {
            expect(backwards.get(id)).toEqual(rect);
            expect(Object.values(rect).every(Number.isFinite)).toBe(true);
          }
        },
      ),
      { seed: 14, numRuns: 300 },
    );
  });

  test("circles are named in order, and a template that has one is refused", () => {
    const circle = [
      tied("a", 0, 0, 1, 1, { left: to("b", "right") }),
      tied("b", 0, 0, 1, 1, { left: to("c", "right") }),
      tied("c", 0, 0, 1, 1, { right: to("a", "left") }),
    ];
    expect(findTieCircle(circle)).toEqual(["a", "b", "c", "a"]);
    // Left of one and top of the other is no circle.
    expect(
      findTieCircle([
        tied("a", 0, 0, 1, 1, { left: to("b", "right") }),
        tied("b", 0, 0, 1, 1, { top: to("a", "bottom") }),
      ]),
    ).toBeUndefined();
    const box0 = box(0, 0, 10, 10);
    const template = templateOf(
      rectangle("a", box0, solid("accent"), {
        ties: { left: { to: { kind: "box", object: "b" }, edge: "right" } },
      }),
      rectangle("b", box0, solid("accent"), {
        ties: { left: { to: { kind: "box", object: "a" }, edge: "right" } },
      }),
    );
    expect(readTemplate(JSON.stringify(template))).toMatchObject({
      problem: expect.stringContaining("The ties go in a circle (“a” → “b” → “a”)"),
    });
  });

  test("words hang on both sides of their box: a circle through width and height is one too", () => {
    const none = { left: null, right: null, top: null, bottom: null };
    const limits = { leastWidthPx: null, mostWidthPx: null, leastHeightPx: null, mostHeightPx: null };
    const ties = (own: object) =>
      ({ ...none, ...limits, ...own }) as Parameters<typeof findTieCircle>[0][number]["ties"];
    const words = (object: string, edge: string) => ({ to: { kind: "words", object }, edge, gapPx: 0 });
    const boxOf = (object: string, edge: string) => ({ to: { kind: "box", object }, edge, gapPx: 0 });
    // How wide the bed is decides how the name wraps, how high the name is decides where the bed ends.
    const circle = findTieCircle([
      { id: "name", ties: ties({ right: boxOf("bed", "right") }) },
      { id: "bed", ties: ties({ right: words("name", "right"), bottom: words("name", "bottom") }) },
    ]);
    expect(circle).toEqual(["name", "bed", "name"]);
    const across = findTieCircle([
      { id: "name", ties: ties({ right: boxOf("bed", "right") }) },
      { id: "bed", ties: ties({ right: boxOf("canvas-wide", "right"), bottom: words("name", "bottom") }) },
    ]);
    expect(across).toBeUndefined();
    const through = findTieCircle([
      { id: "name", ties: ties({ top: boxOf("bed", "bottom") }) },
      { id: "bed", ties: ties({ right: words("name", "right"), bottom: boxOf("bed2", "bottom") }) },
      { id: "bed2", ties: ties({ bottom: words("name", "bottom") }) },
    ]);
    expect(through).toEqual(["name", "bed", "bed2", "name"]);
    const crossed = findTieCircle([
      { id: "name", ties: ties({ left: boxOf("bed", "left") }) },
      { id: "bed", ties: ties({ top: words("name", "top"), left: boxOf("side", "left") }) },
      { id: "side", ties: ties({ left: words("low", "left") }) },
      { id: "low", ties: ties({ top: boxOf("bed", "top") }) },
    ]);
    expect(crossed?.at(0)).toBe(crossed?.at(-1));
    expect(crossed).toContain("low");
  });
});

describe("boxes that follow their words", () => {
  const name = text(
    "name",
    "name",
    box(100, 100, 800, 80),
    { min: 20, max: 60 },
    { align: "start", verticalAlign: "top" },
  );
  const bed = rectangle("bed", box(0, 80, 10, 120), solid("panel"), {
    ties: {
      left: { to: { kind: "words", object: "name" }, edge: "left", gapPx: -30 },
      right: { to: { kind: "words", object: "name" }, edge: "right", gapPx: 30 },
      leastWidthPx: 200,
      mostWidthPx: 700,
    },
  });
  const widthOf = (value: string, objects: SceneObject[] = [bed, name]) => {
    const { content } = partOf(lay(templateOf(...objects), { name: value }, bench.shaper).parts, "bed");
    return content.kind === "shape" ? content.shape.box.width : 0;
  };

  test("a bed is as wide as its words and their room, with a least and a most", () => {
    const short = widthOf("Ilse Tarrow");
    expect(short).toBeGreaterThan(260);
    expect(widthOf("Ilse Tarrow, net mender")).toBeGreaterThan(short + 100);
    expect(widthOf("Al")).toBe(200);
    expect(widthOf("Ilse Tarrow of the long harbour wall and the seven lamps")).toBe(700);
  });

  test("a text under another that wraps goes down with it, and closes up where it is empty", () => {
    const over = text(
      "name",
      "name",
      box(100, 100, 600, 400),
      { min: 50, max: 50 },
      { mode: "wrap", verticalAlign: "top" },
    );
    const under = text(
      "role",
      "role",
      box(100, 0, 600, 60),
      { min: 30, max: 30 },
      {
        verticalAlign: "top",
        ties: { top: { to: { kind: "words", object: "name" }, edge: "bottom", gapPx: 10 } },
      },
    );
    const topOf = (value: string) =>
      partOf(lay(templateOf(over, under), { name: value, role: "net mender" }, bench.shaper).parts, "role").at
        .y;
    const one = topOf("Ilse");
    const three = topOf("Ilse Tarrow of the harbour wall, of the seven lamps and of the long stone jetty");
    expect(three - one).toBeGreaterThan(100);
    expect(topOf("")).toBe(110);
  });

  test("a group that follows takes its members along", () => {
    const member = rectangle("member", box(50, 0, 20, 20), solid("accent"));
    const row = group("row", box(50, 0, 100, 20), [member], {
      ties: { top: { to: { kind: "words", object: "name" }, edge: "bottom" } },
    });
    const { content } = partOf(lay(templateOf(name, row), { name: "Ilse" }, bench.shaper).parts, "row");
    const at = content.kind === "group" ? content.parts[0]?.at : undefined;
    expect(at?.x).toBe(50);
    expect(at?.y).toBeGreaterThan(120);
  });
});
