import { oncePer } from "../memo/oncePer.ts";
import type { Measure } from "../names/measure.ts";
import type { Rect } from "../picture/picture.ts";
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

const inShape = (template: Template, { canvas, objects }: Template["shapes"][number]): Template => ({
  ...template,
  canvas,
  objects: placeAll(template.objects, objects, arrangeIn(template, canvas)),
});

/** What is near to an edge stays so, within what every receiver shows of graphics. Source: EBU R 95, 2017: 5 % of each side. */
const SAFE_SHARE = 0.05;

/**
 * How what a shape says nothing about stands on its canvas: all of it together, as large as it would be at the same area, but not
 * larger than there is room for; as near to each edge, in proportion, as on the template's own canvas.
 */
export function arrangeIn(template: Pick<Template, "canvas" | "objects">, canvas: Size): Fitting {
  const whole = template.canvas;
  const boxes = template.objects.flatMap((object) =>
    object.kind === "unreadable" ? [] : (plainBox(object.box) ?? []),
  );
  const x = extentOf(
    boxes.filter((box) => !isWide(box, whole)).map((box) => [box.x, box.x + box.width]),
    whole.widthPx,
  );
  const y = extentOf(
    boxes.filter((box) => !isHigh(box, whole)).map((box) => [box.y, box.y + box.height]),
    whole.heightPx,
  );
  const [rx, ry] = [canvas.widthPx / whole.widthPx, canvas.heightPx / whole.heightPx];
  const mostOf = (length: number, from: number, to: number) =>
    (length * Math.max(1 - 2 * SAFE_SHARE, (to - from) / length)) / (to - from);
  const most = Math.min(mostOf(whole.widthPx, x.from, x.to) * rx, mostOf(whole.heightPx, y.from, y.to) * ry);
  // Fitted in whole it always has room.
  const scale = Math.max(Math.min(rx, ry), Math.min(Math.sqrt(rx * ry), most));
  return {
    scale,
    dx: placedAt(x, scale, whole.widthPx, canvas.widthPx) - x.from * scale,
    dy: placedAt(y, scale, whole.heightPx, canvas.heightPx) - y.from * scale,
    whole,
    canvas,
  };
}

interface Extent {
  readonly from: number;
  readonly to: number;
}

/** From the first to the last of what lies on a side of a length; all of it where nothing does. */
function extentOf(spans: readonly (readonly [number, number])[], length: number): Extent {
  const from = Math.max(0, Math.min(...spans.map(([start]) => start)));
  const to = Math.min(length, Math.max(...spans.map(([, end]) => end)));
  return to > from ? { from, to } : { from: 0, to: length };
}

/** Where an extent begins on another length, with its room before and after it shared out as before. */
function placedAt({ from, to }: Extent, scale: number, length: number, other: number): number {
  const [before, after] = [from, length - to];
  const free = other - (to - from) * scale;
  const least = (room: number) => Math.min(free / 2, other * Math.min(SAFE_SHARE, room / length));
  const share = before + after === 0 ? 0.5 : before / (before + after);
  return Math.min(free - least(after), Math.max(least(before), free * share));
}

/** How a canvas is laid into another: lengths by the scale, then moved. */
export interface Fitting {
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
  const plain = plainBox(box);
  if (!plain) return box;
  const [wide, high] = [isWide(plain, whole), isHigh(plain, whole)];
  return {
    x: wide ? 0 : dx + plain.x * scale,
    y: high ? 0 : dy + plain.y * scale,
    width: wide ? canvas.widthPx : plain.width * scale,
    height: high ? canvas.heightPx : plain.height * scale,
  };
}

/** A box all in figures; undefined where the house style decides something of it. */
function plainBox({ x, y, width, height }: SceneObjectBox): Rect | undefined {
  return typeof x === "number" &&
    typeof y === "number" &&
    typeof width === "number" &&
    typeof height === "number"
    ? { x, y, width, height }
    : undefined;
}
const isWide = ({ x, width }: Rect, { widthPx }: Size): boolean => x <= 0 && x + width >= widthPx;
const isHigh = ({ y, height }: Rect, { heightPx }: Size): boolean => y <= 0 && y + height >= heightPx;

type SceneObjectBox = Exclude<SceneObject, { kind: "unreadable" }>["box"];
