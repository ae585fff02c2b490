import { oncePer } from "../memo/oncePer.ts";
import type { Measure } from "../names/measure.ts";
import type { SceneObject } from "./objectKinds.ts";
import type { Placed, Template } from "./template.ts";

interface Size {
  readonly widthPx: number;
  readonly heightPx: number;
}

/** A template in each of its shapes, its own first: canvas, boxes and sizes of letters are those of the shape. */
export const shapesOf = oncePer((template: Template): readonly Template[] => [
  template,
  ...template.shapes.map((shape) => inShape(template, shape)),
]);

/** How far two shapes are apart: 0 for the same, the same for twice as wide and twice as tall. */
export const shapesApart = (a: Size, b: Size): number =>
  Math.abs(Math.log(a.widthPx / a.heightPx / (b.widthPx / b.heightPx)));

/** The shape of a template that is nearest to a screen's; its own of equally near ones. The same object for the same shape. */
export function shapeFor(template: Template, screen: Size): Template {
  const [own, ...others] = shapesOf(template);
  let nearest = own as Template;
  for (const shape of others)
    if (shapesApart(screen, shape.canvas) < shapesApart(screen, nearest.canvas) - 0.01) nearest = shape;
  return nearest;
}

function inShape(template: Template, { canvas, objects }: Template["shapes"][number]): Template {
  // What the shape says nothing about stands where the whole canvas, fitted into this one, has it.
  const scale = Math.min(
    canvas.widthPx / template.canvas.widthPx,
    canvas.heightPx / template.canvas.heightPx,
  );
  const fitting: Fitting = {
    scale,
    dx: (canvas.widthPx - template.canvas.widthPx * scale) / 2,
    dy: (canvas.heightPx - template.canvas.heightPx * scale) / 2,
    whole: template.canvas,
    canvas,
  };
  return { ...template, canvas, objects: placeAll(template.objects, objects, fitting) };
}

interface Fitting {
  readonly scale: number;
  readonly dx: number;
  readonly dy: number;
  readonly whole: Size;
  readonly canvas: Size;
}

function placeAll<T extends SceneObject>(
  objects: readonly T[],
  placed: Readonly<Record<string, Placed>>,
  fitting: Fitting,
): T[] {
  return objects.flatMap((object): T[] => {
    if (object.kind === "unreadable") return [object];
    const own = placed[object.id];
    if (own?.isLeftOut) return [];
    const box = own?.box ?? fittedBox(object.box, fitting);
    const size = (px: Measure): Measure =>
      typeof px === "number" ? px * fitting.scale : { ...px, times: (px.times ?? 1) * fitting.scale };
    const letters =
      "maxSizePx" in object
        ? {
            minSizePx: own?.minSizePx ?? size(object.minSizePx),
            maxSizePx: own?.maxSizePx ?? size(object.maxSizePx),
          }
        : {};
    const readable =
      object.kind === "text" ? { readableSizePx: own?.readableSizePx ?? size(object.readableSizePx) } : {};
    const members = object.kind === "group" ? { objects: placeAll(object.objects, placed, fitting) } : {};
    return [{ ...object, box, ...letters, ...readable, ...members }];
  });
}

/** What spans its canvas spans the other one; the rest keeps its shape. */
function fittedBox(box: SceneObjectBox, { scale, dx, dy, whole, canvas }: Fitting): SceneObjectBox {
  const { x, y, width, height } = box;
  if (
    typeof x !== "number" ||
    typeof y !== "number" ||
    typeof width !== "number" ||
    typeof height !== "number"
  )
    return box;
  const isWide = x <= 0 && x + width >= whole.widthPx;
  const isHigh = y <= 0 && y + height >= whole.heightPx;
  return {
    x: isWide ? 0 : dx + x * scale,
    y: isHigh ? 0 : dy + y * scale,
    width: isWide ? canvas.widthPx : width * scale,
    height: isHigh ? canvas.heightPx : height * scale,
  };
}

type SceneObjectBox = Exclude<SceneObject, { kind: "unreadable" }>["box"];
