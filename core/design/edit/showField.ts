import type { FieldKindName } from "../../scene/fieldKinds.ts";
import type { FieldDef } from "../../scene/fieldSet.ts";
import type { LeafKindName, LeafSpec } from "../../scene/objectKinds.ts";
import { kindOf } from "../../scene/objectKinds.ts";
import type { Template } from "../../scene/template.ts";
import { newObject } from "./newObject.ts";
import type { Boxes, Rect } from "./objects.ts";

const words = (field: string) => ({ words: { kind: "field", field } });
const source = (field: string) => ({ source: { kind: "field", field } });
const rows = (field: string) => ({ field });

/** What shows a field of each kind, and how it is tied to it. */
const SHOWN_BY: Readonly<
  Record<FieldKindName, readonly [LeafKindName, (field: FieldDef) => Readonly<Record<string, unknown>>]>
> = {
  line: ["text", ({ name }) => words(name)],
  lines: ["text", ({ name }) => words(name)],
  number: ["text", ({ name }) => words(name)],
  choice: ["text", ({ name }) => words(name)],
  time: ["figures", ({ name }) => ({ shows: { kind: "countdown", field: name } })],
  yesNo: [
    "text",
    ({ name, label }) => ({
      words: { kind: "fixed", text: label },
      showWhen: { kind: "equals", field: name, text: "yes" },
    }),
  ],
  color: [
    "rectangle",
    ({ name }) => ({ fill: { kind: "solid", color: { field: name, or: { token: "accent" } } } }),
  ],
  picture: ["picture", ({ name }) => source(name)],
  clip: ["video", ({ name }) => source(name)],
  sound: ["sound", ({ name }) => source(name)],
  rows: ["table", ({ name }) => rows(name)],
};

/** An object that shows a field, where there is the most room for it. */
export function objectFor(template: Template, field: FieldDef, boxes: Boxes): LeafSpec {
  const [kind, tied] = SHOWN_BY[field.kind];
  const made = newObject(template, kind);
  const { width, height } = made.box as Rect;
  const at = freePlace(template, boxes, { width, height });
  return kindOf({ kind }).schema.parse({
    ...made,
    ...tied(field),
    box: { ...made.box, ...at },
    editing: { ...made.editing, name: field.label },
  }) as unknown as LeafSpec;
}

/** How near to the edge of the canvas something new is put, as a share of it: within what every receiver shows. */
const EDGE = 0.05;
const TRIED = 12;
/** What covers more of the canvas than this is a ground, and may be lain on. */
const GROUND_SHARE = 0.5;

/** The place on the canvas at which a box of a size lies over the least of what is there; the highest of them. */
export function freePlace(
  { canvas }: Template,
  boxes: Boxes,
  { width, height }: { readonly width: number; readonly height: number },
): { readonly x: number; readonly y: number } {
  const area = canvas.widthPx * canvas.heightPx;
  const taken = [...boxes.values()].filter((box) => box.width * box.height < area * GROUND_SHARE);
  const steps = (whole: number, size: number) => {
    const [from, to] = [whole * EDGE, whole * (1 - EDGE) - size];
    return to <= from
      ? [(whole - size) / 2]
      : Array.from({ length: TRIED + 1 }, (_, i) => from + ((to - from) * i) / TRIED);
  };
  let best = { x: 0, y: 0, covered: Number.POSITIVE_INFINITY };
  for (const y of steps(canvas.heightPx, height))
    for (const x of steps(canvas.widthPx, width)) {
      const covered = taken.reduce((sum, box) => sum + shared({ x, y, width, height }, box), 0);
      if (covered < best.covered) best = { x, y, covered };
    }
  return { x: Math.round(best.x), y: Math.round(best.y) };
}

/** The area that two boxes share, px². */
const shared = (a: Rect, b: Rect): number =>
  Math.max(0, Math.min(a.x + a.width, b.x + b.width) - Math.max(a.x, b.x)) *
  Math.max(0, Math.min(a.y + a.height, b.y + b.height) - Math.max(a.y, b.y));
