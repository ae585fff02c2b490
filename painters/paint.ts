import type { Paint, Picture, PictureItem, Shadow } from "../core/picture/picture.ts";
import type { Shaper } from "../core/text/shaper.ts";

/** What a painter needs of its platform: browser window, worker and server canvases all have it. */
export interface Canvas2D {
  setTransform(a: number, b: number, c: number, d: number, e: number, f: number): void;
  fill(path: Path2D): void;
  stroke(path: Path2D): void;
  createLinearGradient(x0: number, y0: number, x1: number, y1: number): CanvasGradient;
  fillStyle: string | CanvasGradient | CanvasPattern;
  strokeStyle: string | CanvasGradient | CanvasPattern;
  lineWidth: number;
  lineJoin: CanvasLineJoin;
  shadowColor: string;
  shadowBlur: number;
  shadowOffsetX: number;
  shadowOffsetY: number;
}

export type OutlineSource = Pick<Shaper, "outline">;
export type PathMaker = new (svg?: string) => Path2D;

/**
 * Paints a picture with the top left of its bounds at (0, 0), `scale` device pixels to each output pixel.
 * Words are painted as outlines, one path per item: the same in every painter, to the pixel.
 */
export function paintPicture(
  context: Canvas2D,
  picture: Picture,
  scale: number,
  outlines: OutlineSource,
  MakePath: PathMaker,
): void {
  context.setTransform(scale, 0, 0, scale, -picture.bounds.x * scale, -picture.bounds.y * scale);
  for (const item of picture.items) paintItem(context, item, scale, outlines, MakePath);
}

function paintItem(
  context: Canvas2D,
  item: PictureItem,
  scale: number,
  outlines: OutlineSource,
  MakePath: PathMaker,
): void {
  const path = new MakePath(
    item.kind === "glyphs" ? glyphsPath(item, outlines) : roundedRectPath(item.rect, item.radiusPx),
  );
  setShadow(context, item.shadow, scale);
  if (item.stroke) {
    context.strokeStyle = item.stroke.color;
    context.lineWidth = item.stroke.widthPx;
    context.lineJoin = "round";
    context.stroke(path);
    setShadow(context, null, scale);
  }
  context.fillStyle = fillStyle(context, item.fill);
  context.fill(path);
  setShadow(context, null, scale);
}

function setShadow(context: Canvas2D, shadow: Shadow | null, scale: number): void {
  // Shadows are measured in device pixels, whatever the transform.
  context.shadowColor = shadow?.color ?? "rgba(0,0,0,0)";
  context.shadowBlur = (shadow?.blurPx ?? 0) * scale;
  context.shadowOffsetX = (shadow?.offsetXPx ?? 0) * scale;
  context.shadowOffsetY = (shadow?.offsetYPx ?? 0) * scale;
}

function fillStyle(context: Canvas2D, paint: Paint): string | CanvasGradient {
  if (paint.kind === "solid") return paint.color;
  const gradient = context.createLinearGradient(paint.x0, paint.y0, paint.x1, paint.y1);
  for (const { at, color } of paint.stops) gradient.addColorStop(at, color);
  return gradient;
}

/** Numbers in paths to a thousandth of a pixel: the same text on every platform. */
const n = (value: number) => Math.round(value * 1000) / 1000;

function roundedRectPath(
  { x, y, width, height }: { x: number; y: number; width: number; height: number },
  radius: number,
): string {
  const right = x + width;
  const bottom = y + height;
  const r = Math.min(radius, width / 2, height / 2);
  if (r <= 0) return `M${n(x)} ${n(y)}H${n(right)}V${n(bottom)}H${n(x)}Z`;
  const arc = (toX: number, toY: number) => `A${n(r)} ${n(r)} 0 0 1 ${n(toX)} ${n(toY)}`;
  return (
    `M${n(x + r)} ${n(y)}H${n(right - r)}${arc(right, y + r)}V${n(bottom - r)}${arc(right - r, bottom)}` +
    `H${n(x + r)}${arc(x, bottom - r)}V${n(y + r)}${arc(x + r, y)}Z`
  );
}

function glyphsPath(item: Extract<PictureItem, { kind: "glyphs" }>, outlines: OutlineSource): string {
  const { sizePx, fontId } = item;
  let path = "";
  for (const { id, x, y } of item.glyphs) {
    for (const command of outlines.outline(fontId, id)) {
      path += command[0];
      for (let i = 1; i < command.length; i += 2)
        path += `${i > 1 ? " " : ""}${n(x + (command[i] as number) * sizePx)} ${n(y + (command[i + 1] as number) * sizePx)}`;
    }
  }
  return path;
}
