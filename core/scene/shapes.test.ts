import { describe, expect, test } from "vitest";
import { prepareBench } from "../../test-support/contents.ts";
import { box, rectangle, solid, text } from "../../test-support/designs.ts";
import { HD, lay, partOf, templateOf } from "../../test-support/pages.ts";
import { shapeFor, shapesOf } from "./shapes.ts";
import { templateSchema } from "./template.ts";

const bench = prepareBench();
const template = templateSchema.parse({
  ...templateOf(
    rectangle("ground", box(0, 0, 1920, 1080), solid("ground")),
    rectangle("bed", box(160, 840, 900, 120), solid("panel")),
    text("name", "name", box(200, 850, 800, 100), { min: 30, max: 80, readable: 60 }),
  ),
  shapes: [
    {
      name: "Portrait",
      canvas: { widthPx: 1080, heightPx: 1920 },
      objects: {
        bed: { box: { x: 90, y: 1500, width: 900, height: 200 } },
        name: { box: { x: 120, y: 1520, width: 840, height: 160 }, maxSizePx: 120 },
      },
    },
    { name: "Square", canvas: { widthPx: 1080, heightPx: 1080 }, objects: { bed: { isLeftOut: true } } },
  ],
});
const portrait = { widthPx: 1080, heightPx: 1920 };

test("a screen gets the shape that is nearest to its own, the same object each time", () => {
  expect(shapeFor(template, HD)).toBe(template);
  expect(shapeFor(template, portrait).canvas).toEqual(portrait);
  expect(shapeFor(template, portrait)).toBe(shapeFor(template, { widthPx: 540, heightPx: 960 }));
  expect(shapesOf(template)).toHaveLength(3);
});

test("boxes and sizes are the shape's own; what it says nothing of is arranged, and grounds fill it", () => {
  const [ground, bed, name] = shapeFor(template, portrait).objects;
  expect(ground).toMatchObject({ box: { x: 0, y: 0, width: 1080, height: 1920 } });
  expect(bed).toMatchObject({ box: { x: 90, y: 1500, width: 900, height: 200 } });
  // As large as at the same area: a canvas turned on its side has as much.
  expect(name).toMatchObject({ maxSizePx: 120, minSizePx: 30, readableSizePx: 60 });
  const square = shapeFor(template, { widthPx: 800, heightPx: 800 });
  expect(square.objects.map((object) => object.id)).toEqual(["ground", "name"]);
});

test("a page is laid out in it, with fields and motion shared", () => {
  const page = lay(template, { name: "Ilse" }, bench.shaper, { output: portrait });
  expect(partOf(page.parts, "bed").at).toMatchObject({ x: 90, y: 1500 });
  expect(page.findings.map(({ code }) => code)).not.toContain("fitted");
  expect(lay(template, { name: "Ilse" }, bench.shaper, { output: HD }).parts).toHaveLength(3);
});

const WIDE = { widthPx: 1920, heightPx: 360 };
const SHAPES = [
  ["twice as large", { widthPx: 3840, heightPx: 2160 }],
  ["portrait", portrait],
  ["square", { widthPx: 1080, heightPx: 1080 }],
  ["a ribbon", WIDE],
] as const;

describe("what a shape says nothing of is arranged by itself", () => {
  const inShape = (canvas: { widthPx: number; heightPx: number }, ...boxes: ReturnType<typeof box>[]) => {
    const one = templateSchema.parse({
      ...templateOf(...boxes.map((each, i) => rectangle(`r${i}`, each, solid("panel")))),
      shapes: [{ name: "Other", canvas, objects: {} }],
    });
    return (shapesOf(one)[1] as typeof one).objects.map((object) => {
      if (object.kind === "unreadable") throw new Error("unreadable");
      return object.box as { x: number; y: number; width: number; height: number };
    });
  };

  test("on a canvas of the same shape it is the same, larger", () => {
    const [first] = inShape(SHAPES[0][1], box(20, 600, 900, 120));
    expect(first).toEqual({ x: 40, y: 1200, width: 1800, height: 240 });
  });

  test.each(SHAPES)("%s: a strap stays at its corner, all of it in the safe area", (_, canvas) => {
    const [bed, words] = inShape(canvas, box(160, 860, 900, 120), box(190, 870, 700, 100));
    if (!bed || !words) throw new Error("lost");
    const [left, right] = [bed.x, canvas.widthPx - bed.x - bed.width];
    const [above, below] = [bed.y, canvas.heightPx - bed.y - bed.height];
    expect(left).toBeLessThanOrEqual(right);
    expect(below).toBeLessThan(above);
    expect(left).toBeGreaterThanOrEqual(canvas.widthPx * 0.05 - 0.01);
    expect(below).toBeGreaterThanOrEqual(canvas.heightPx * 0.05 - 0.01);
    // Its shape and what stands on it stay as they are.
    expect(bed.width / bed.height).toBeCloseTo(900 / 120, 6);
    expect((words.x - bed.x) / bed.width).toBeCloseTo(30 / 900, 6);
  });

  test.each(SHAPES)(
    "%s: what stands in the middle does there too; what touches an edge, touches it",
    (_, canvas) => {
      const [title] = inShape(canvas, box(460, 400, 1000, 280));
      expect((title?.x ?? 0) + (title?.width ?? 0) / 2).toBeCloseTo(canvas.widthPx / 2, 6);
      expect((title?.y ?? 0) + (title?.height ?? 0) / 2).toBeCloseTo(canvas.heightPx / 2, 6);
      const [crawl] = inShape(canvas, box(0, 1000, 1920, 80));
      expect(crawl).toMatchObject({ x: 0, width: canvas.widthPx });
      expect((crawl?.y ?? 0) + (crawl?.height ?? 0)).toBeCloseTo(canvas.heightPx, 6);
    },
  );

  test("it is larger on a portrait screen than the whole canvas fitted in would make it", () => {
    const [bed] = inShape(portrait, box(160, 860, 900, 120));
    expect(bed?.width).toBeGreaterThan(900 * 0.5625 * 1.5);
  });
});
