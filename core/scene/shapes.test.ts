import { expect, test } from "vitest";
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

test("boxes and sizes are the shape's own; what it says nothing of stands as the whole fitted into it, and grounds fill it", () => {
  const [ground, bed, name] = shapeFor(template, portrait).objects;
  expect(ground).toMatchObject({ box: { x: 0, y: 0, width: 1080, height: 1920 } });
  expect(bed).toMatchObject({ box: { x: 90, y: 1500, width: 900, height: 200 } });
  expect(name).toMatchObject({ maxSizePx: 120, minSizePx: 30 * 0.5625, readableSizePx: 60 * 0.5625 });
  const square = shapeFor(template, { widthPx: 800, heightPx: 800 });
  expect(square.objects.map((object) => object.id)).toEqual(["ground", "name"]);
});

test("a page is laid out in it, with fields and motion shared", () => {
  const page = lay(template, { name: "Ilse" }, bench.shaper, { output: portrait });
  expect(partOf(page.parts, "bed").at).toMatchObject({ x: 90, y: 1500 });
  expect(page.findings.map(({ code }) => code)).not.toContain("fitted");
  expect(lay(template, { name: "Ilse" }, bench.shaper, { output: HD }).parts).toHaveLength(3);
});

test("fitted into a wider or a taller canvas it stands in the middle", () => {
  const bed = (canvas: { widthPx: number; heightPx: number }) => {
    const one = templateSchema.parse({
      ...templateOf(rectangle("bed", box(300, 600, 900, 120), solid("panel"))),
      shapes: [{ name: "Other", canvas, objects: {} }],
    });
    return shapeFor(one, canvas).objects[0];
  };
  // A third of the size, with (1920 - 640) / 2 to its left; half the size, with (1920 - 540) / 2 above it.
  expect(bed({ widthPx: 1920, heightPx: 360 })).toMatchObject({
    box: { x: 740, y: 200, width: 300, height: 40 },
  });
  expect(bed({ widthPx: 960, heightPx: 1920 })).toMatchObject({
    box: { x: 150, y: 990, width: 450, height: 60 },
  });
});
