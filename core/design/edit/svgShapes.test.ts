import { describe, expect, test } from "vitest";
import { box, make } from "../../../test-support/designs.ts";
import { templateOf } from "../../../test-support/pages.ts";
import { findObject } from "./objects.ts";
import { type SvgNode, svgShapes, withDrawing } from "./svgShapes.ts";

const el = (name: string, attributes: Record<string, string> = {}, ...children: SvgNode[]): SvgNode => ({
  name,
  attributes,
  children,
  text: "",
});
const read = (...children: SvgNode[]) => {
  const drawing = svgShapes(el("svg", {}, ...children));
  if ("problem" in drawing) throw new Error(drawing.problem);
  return drawing;
};

describe("an SVG drawing as shapes", () => {
  test("basic shapes become paths, with the transforms of all around them", () => {
    const { shapes, bounds } = read(
      el(
        "g",
        { transform: "translate(10 20)" },
        el("rect", { width: "30", height: "10", transform: "scale(2)" }),
      ),
      el("circle", { cx: "5", cy: "5", r: "5" }),
      el("polygon", { points: "0,0 10,0 10,10" }),
      el("line", { x1: "0", y1: "0", x2: "8", y2: "0", stroke: "red" }),
      el("rect", { width: "0", height: "10" }),
      el("path", { d: "M0 0h4v4z" }),
    );
    expect(shapes.map(({ name }) => name)).toEqual(["rect", "circle", "polygon", "line", "path"]);
    expect(shapes[0]?.path).toMatch(/^M10 20/);
    expect(bounds).toEqual({ x: 0, y: 0, width: 70, height: 40 });
  });
  test("paint is what attributes, rules, styles and what is around say, in that order", () => {
    const style: SvgNode = {
      name: "style",
      attributes: {},
      children: [],
      text: ".a,.b{fill:#00ff00} #own{fill:blue}",
    };
    const { shapes } = read(
      style,
      el("g", { fill: "#ff0000", opacity: "0.5" }, el("path", { d: "M0 0h1v1z" })),
      el("path", { d: "M0 0h1v1z", class: "a", fill: "#123456" }),
      el("path", { d: "M0 0h1v1z", class: "a", style: "fill: rgb(1, 2, 3); stroke: #fff" }),
      el("path", { d: "M0 0h1v1z", id: "own", class: "b" }),
      el("path", { d: "M0 0h1v1z" }),
      el("path", { d: "M0 0h1v1z", fill: "none" }),
      el("g", { display: "none" }, el("path", { d: "M0 0h1v1z" })),
    );
    expect(shapes.map(({ fill, stroke }) => [fill, stroke])).toEqual([
      ["#ff000080", null],
      ["#00ff00ff", null],
      ["#010203ff", "#ffffffff"],
      ["#0000ffff", null],
      ["#000000ff", null],
    ]);
  });
  test("what no shape can say is told, and nothing active gets in", () => {
    const drawing = read(
      el("script", {}, el("path", { d: "M0 0h1v1z" })),
      el("text"),
      el("text"),
      el("image", { href: "https://example.invalid/a.png" }),
      el("linearGradient", { id: "g" }, el("stop", { "stop-color": "#abcdef" })),
      el("path", { d: "M0 0h9v9z", fill: "url(#g)", onclick: "alert(1)" }),
      el("path", { d: "M0 0 what" }),
    );
    expect(drawing.shapes).toHaveLength(1);
    expect(drawing.shapes[0]?.fill).toBe("#abcdefff");
    expect(JSON.stringify(drawing)).not.toMatch(/alert|example/);
    expect(drawing.leftOut).toEqual([
      "words (2 times)",
      "pictures",
      "colour runs, of which the first colour is taken",
      "paths that cannot be read",
    ]);
    expect(svgShapes(el("svg", {}, el("text")))).toEqual({ problem: expect.stringMatching(/No shapes/) });
    let deep = el("path", { d: "M0 0h1v1z" });
    for (let i = 0; i < 200; i++) deep = el("g", {}, deep);
    expect(svgShapes(deep)).toHaveProperty("problem");
  });
  test("they come as a group, in their proportions, in the middle of the room that they get", () => {
    const drawing = read(
      el("rect", { x: "0", y: "0", width: "200", height: "100" }),
      el("rect", { x: "150", y: "50", width: "50", height: "50", id: "Corner" }),
    );
    const made = withDrawing(templateOf(), drawing, "logo.svg", { x: 0, y: 0, width: 400, height: 400 });
    if ("problem" in made) throw new Error(made.problem);
    expect(findObject(made.template, made.id)).toMatchObject({
      kind: "group",
      box: { x: 0, y: 100, width: 400, height: 200 },
      editing: { name: "logo.svg" },
    });
    expect(findObject(made.template, "corner")).toMatchObject({
      box: { x: 300, y: 200, width: 100, height: 100 },
      viewWidth: 50,
      viewHeight: 50,
    });
    const many = Array.from({ length: 199 }, (_, i) =>
      make("rectangle", { id: `r${i}`, box: box(0, 0, 9, 9) }),
    );
    expect(withDrawing(templateOf(...many), drawing, "x", { x: 0, y: 0, width: 9, height: 9 })).toEqual({
      problem: expect.stringMatching(/2 shapes.*room for 0 more/),
    });
  });
});
