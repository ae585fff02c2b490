import type { ReadableObject } from "../../scene/objectKinds.ts";
import type { Template } from "../../scene/template.ts";
import { type Boxes, findObject, idsWithin, outermost, type Rect, withObjects } from "./objects.ts";

/** Half a pixel and less is nobody's wish: places are whole pixels but where a figure was typed. */
const whole = (px: number): number => Math.round(px * 100) / 100;

/** The chosen objects moved by so much; what lies in a group goes along. */
export function moveObjects(
  template: Template,
  ids: readonly string[],
  by: { readonly xPx: number; readonly yPx: number },
  boxes: Boxes,
): Template {
  const moved = new Set(
    outermost(template, ids).flatMap((id) => {
      const object = findObject(template, id);
      return object ? idsWithin(object) : [];
    }),
  );
  if (moved.size === 0 || (by.xPx === 0 && by.yPx === 0)) return template;
  return withObjects(template, (object) => {
    const box = boxes.get(object.id);
    if (!moved.has(object.id) || !box) return object;
    return withBox(object, { ...box, x: box.x + by.xPx, y: box.y + by.yPx });
  });
}

/**
 * An object in another box. Letters keep their size, and so do corners; what lies in a group is moved and sized with it, its
 * letters with the height of the group.
 */
export function placeObject(template: Template, id: string, to: Rect, boxes: Boxes): Template {
  const object = findObject(template, id);
  const from = boxes.get(id);
  if (!object || !from) return template;
  if (object.kind !== "group")
    return withObjects(template, (each) => (each.id === id ? withBox(each, to) : each));
  const inside = new Set(idsWithin(object));
  const sx = from.width > 0 ? to.width / from.width : 1;
  const sy = from.height > 0 ? to.height / from.height : 1;
  return withObjects(template, (each) => {
    const box = boxes.get(each.id);
    if (!inside.has(each.id) || !box) return each;
    return withBox(each, {
      x: to.x + (box.x - from.x) * sx,
      y: to.y + (box.y - from.y) * sy,
      width: box.width * sx,
      height: box.height * sy,
    });
  });
}

/** An object turned further, clockwise, to the nearest tenth of a degree within one turn either way. */
export function turnObject(template: Template, id: string, byDeg: number): Template {
  return withObjects(template, (object) => {
    if (object.id !== id) return object;
    const from = typeof object.rotationDeg === "number" ? object.rotationDeg : 0;
    const to = Math.round((from + byDeg) * 10) / 10;
    return { ...object, rotationDeg: ((((to + 180) % 360) + 360) % 360) - 180 };
  });
}

/** A box that is less than nothing is nothing: it stays where it was begun. */
const withBox = <T extends ReadableObject>(object: T, { x, y, width, height }: Rect): T => ({
  ...object,
  box: {
    x: whole(x),
    y: whole(y),
    width: Math.max(0, whole(width)),
    height: Math.max(0, whole(height)),
  },
});

/** The box around several. @returns undefined for none */
export function boxAround(boxes: readonly Rect[]): Rect | undefined {
  if (boxes.length === 0) return undefined;
  const x = Math.min(...boxes.map((box) => box.x));
  const y = Math.min(...boxes.map((box) => box.y));
  const right = Math.max(...boxes.map((box) => box.x + box.width));
  const bottom = Math.max(...boxes.map((box) => box.y + box.height));
  return { x, y, width: right - x, height: bottom - y };
}

/** Objects of which nothing lies on the canvas. */
export const outside = ({ canvas }: Pick<Template, "canvas">, boxes: Boxes): readonly string[] =>
  [...boxes].flatMap(([id, { x, y, width, height }]) =>
    x >= canvas.widthPx || y >= canvas.heightPx || x + width <= 0 || y + height <= 0 ? [id] : [],
  );
