import type { FieldDef } from "../../scene/fieldSet.ts";
import { pictureKind } from "../../scene/kinds/picture.ts";
import type { LeafSpec } from "../../scene/objectKinds.ts";
import type { Template } from "../../scene/template.ts";
import { freeId, type Rect } from "./objects.ts";
import { objectFor } from "./showField.ts";

/** How a picture lies on a canvas of another size. */
export type BedFit = "fill" | "whole" | "own";

export interface Size {
  readonly widthPx: number;
  readonly heightPx: number;
}

/** How much wider and higher a picture is than the canvas, px; and whether it has the canvas's proportions to within a pixel. */
export function bedDifference(canvas: Size, picture: Size) {
  const byPx = {
    x: picture.widthPx - canvas.widthPx,
    y: picture.heightPx - canvas.heightPx,
  };
  const heightThere = (picture.heightPx * canvas.widthPx) / picture.widthPx;
  return {
    byPx,
    isSame: byPx.x === 0 && byPx.y === 0,
    isInProportion: Math.abs(heightThere - canvas.heightPx) <= 1,
  };
}

/** Where a picture lies on the canvas. */
export function bedBox(canvas: Size, picture: Size, fit: BedFit): Rect {
  if (fit !== "own") return { x: 0, y: 0, width: canvas.widthPx, height: canvas.heightPx };
  return {
    x: Math.round((canvas.widthPx - picture.widthPx) / 2),
    y: Math.round((canvas.heightPx - picture.heightPx) / 2),
    width: picture.widthPx,
    height: picture.heightPx,
  };
}

/** The part of the canvas that an area of the picture lies on, px. @param area shares of the picture */
export function areaOnCanvas(canvas: Size, picture: Size, fit: BedFit, area: Rect): Rect {
  const box = bedBox(canvas, picture, fit);
  const scales = [box.width / picture.widthPx, box.height / picture.heightPx] as const;
  const scale = fit === "own" ? 1 : fit === "fill" ? Math.max(...scales) : Math.min(...scales);
  const [width, height] = [picture.widthPx * scale, picture.heightPx * scale];
  const [left, top] = [box.x + (box.width - width) / 2, box.y + (box.height - height) / 2];
  const [x, y] = [Math.max(0, left + area.x * width), Math.max(0, top + area.y * height)];
  return {
    x: Math.round(x),
    y: Math.round(y),
    width: Math.round(Math.min(canvas.widthPx, left + (area.x + area.width) * width) - x),
    height: Math.round(Math.min(canvas.heightPx, top + (area.y + area.height) * height) - y),
  };
}

/** The first of several fields is the largest: this share of the room for words is its own. */
const FIRST_SHARE = 0.6;

/**
 * A picture on the canvas: behind everything else and locked, or in front; and objects for fields in the room for words on it, one under
 * another.
 * @param bed.hash of what is known of the picture
 * @param words the room for words, px; null: fields stand where there is room on the canvas
 */
export function withBed(
  template: Template,
  bed: { readonly hash: string; readonly name: string } & Size,
  { fit, isBehind }: { readonly fit: BedFit; readonly isBehind: boolean },
  fields: readonly FieldDef[],
  words: Rect | null,
): { readonly template: Template; readonly id: string } {
  const id = freeId(template, isBehind ? "bed" : "picture");
  const picture = pictureKind.schema.parse({
    kind: "picture",
    id,
    box: bedBox(template.canvas, bed, fit),
    source: { kind: "media", hash: bed.hash },
    mode: fit === "whole" ? "fit" : "fill",
    editing: { name: bed.name.slice(0, 60), isLocked: isBehind },
  }) as unknown as LeafSpec;
  const objects = isBehind ? [picture, ...template.objects] : [...template.objects, picture];
  const taken = new Set<string>();
  for (const [i, field] of fields.entries()) {
    const made = objectFor({ ...template, objects }, field, new Map());
    const own = freeId({ ...template, objects }, field.name, taken);
    taken.add(own);
    const box = words ? { ...made.box, ...shareOf(words, i, fields.length) } : made.box;
    const sizes = words && "maxSizePx" in made ? sizesIn(Number(box.height)) : {};
    objects.push({ ...made, id: own, box, ...sizes } as LeafSpec);
  }
  return { template: { ...template, objects }, id };
}

/** The part of an area that one of several things has, one under another. */
function shareOf(area: Rect, index: number, count: number): Rect {
  if (count === 1) return area;
  const first = Math.round(area.height * FIRST_SHARE);
  const other = Math.floor((area.height - first) / (count - 1));
  return {
    ...area,
    y: index === 0 ? area.y : area.y + first + other * (index - 1),
    height: index === 0 ? first : other,
  };
}

/** Sizes of letters for one line in a box of a height, px. */
const sizesIn = (heightPx: number) => {
  const maxSizePx = Math.max(12, Math.round(heightPx * 0.7));
  return { maxSizePx, minSizePx: Math.max(10, Math.round(maxSizePx * 0.5)) };
};
