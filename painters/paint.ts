import { blurPixels } from "../core/picture/blur.ts";
import type {
  CornerRadii,
  Glyphs,
  Paint,
  Picture,
  PictureItem,
  Rect,
  Shadow,
  Shape,
} from "../core/picture/picture.ts";
import type { Shaper } from "../core/text/shaper.ts";

/** What a painter needs of its platform: browser window, worker and server canvases all have it. */
export interface Canvas2D {
  setTransform(a: number, b: number, c: number, d: number, e: number, f: number): void;
  translate(x: number, y: number): void;
  save(): void;
  restore(): void;
  beginPath(): void;
  rect(x: number, y: number, width: number, height: number): void;
  clip(path?: Path2D): void;
  fill(path: Path2D): void;
  stroke(path: Path2D): void;
  fillRect(x: number, y: number, width: number, height: number): void;
  drawImage(image: CanvasImageSource, x: number, y: number, width: number, height: number): void;
  getImageData(x: number, y: number, width: number, height: number): ImageData;
  putImageData(data: ImageData, x: number, y: number): void;
  setLineDash(segments: number[]): void;
  createLinearGradient(x0: number, y0: number, x1: number, y1: number): CanvasGradient;
  createRadialGradient(
    x0: number,
    y0: number,
    r0: number,
    x1: number,
    y1: number,
    r1: number,
  ): CanvasGradient;
  fillStyle: string | CanvasGradient | CanvasPattern;
  strokeStyle: string | CanvasGradient | CanvasPattern;
  globalAlpha: number;
  globalCompositeOperation: GlobalCompositeOperation;
  imageSmoothingEnabled: boolean;
  imageSmoothingQuality: ImageSmoothingQuality;
  lineWidth: number;
  lineJoin: CanvasLineJoin;
  lineCap: CanvasLineCap;
  shadowColor: string;
  shadowBlur: number;
  shadowOffsetX: number;
  shadowOffsetY: number;
}

/** What painting takes from its platform. */
export interface PaintKit {
  readonly outlines: Pick<Shaper, "outline">;
  readonly MakePath: new (svg?: string) => Path2D;
  /** A picture file, decoded; undefined when it is not there (yet): a quiet stand-in is painted. */
  readonly findImage: (file: string) => CanvasImageSource | undefined;
}

/**
 * What of the picture is painted. Fill: as it is. Key: its alpha as white, for an external keyer.
 */
export type Signal = "fill" | "key";

/**
 * Paints a picture with the top left of its bounds at (0, 0), `scale` device pixels to each output pixel.
 * Words are painted as outlines, one path per item: the same in every painter, to the pixel.
 */
export function paintPicture(
  context: Canvas2D,
  picture: Picture,
  scale: number,
  kit: PaintKit,
  signal: Signal = "fill",
): void {
  const { bounds } = picture;
  context.setTransform(scale, 0, 0, scale, -bounds.x * scale, -bounds.y * scale);
  context.save();
  if (picture.clip) {
    const { x, y, width, height } = picture.clip;
    context.beginPath();
    context.rect(x, y, width, height);
    context.clip();
  }
  for (const item of picture.items) paintItem(context, item, scale, kit);
  context.restore();
  const widthPx = Math.ceil(bounds.width * scale);
  const heightPx = Math.ceil(bounds.height * scale);
  context.setTransform(1, 0, 0, 1, 0, 0);
  if (picture.blurPx && widthPx > 0 && heightPx > 0) {
    const pixels = context.getImageData(0, 0, widthPx, heightPx);
    blurPixels(pixels.data, widthPx, heightPx, picture.blurPx * scale);
    context.putImageData(pixels, 0, 0);
  }
  // Source-atop paints over what is there and keeps its alpha.
  context.globalCompositeOperation = "source-atop";
  if (picture.tint) {
    context.globalAlpha = picture.tint.amount;
    context.fillStyle = picture.tint.color;
    context.fillRect(0, 0, widthPx, heightPx);
    context.globalAlpha = 1;
  }
  if (signal === "key") {
    context.fillStyle = "#ffffff";
    context.fillRect(0, 0, widthPx, heightPx);
  }
  context.globalCompositeOperation = "source-over";
}

/** Farther than any plate is wide: casts shadows into the plate from outside it. */
const FAR_PX = 20_000;

function paintItem(context: Canvas2D, item: PictureItem, scale: number, kit: PaintKit): void {
  const path = new kit.MakePath(item.kind === "glyphs" ? glyphsPath(item, kit.outlines) : shapePath(item));
  if (item.shadows.length > 0) {
    context.save();
    // Only the shadows: what casts them stands outside, so that edges are not drawn twice.
    context.translate(-FAR_PX / scale, 0);
    for (const shadow of item.shadows) {
      setShadow(context, shadow, scale);
      if (item.stroke) strokePath(context, item, path);
      else fillPath(context, item.fill, path, kit);
    }
    context.restore();
  }
  strokePath(context, item, path);
  if (item.kind !== "line") fillPath(context, item.fill, path, kit);
}

function strokePath(context: Canvas2D, item: PictureItem, path: Path2D): void {
  if (!item.stroke || item.stroke.widthPx <= 0) return;
  const dashes = item.stroke.dashPx ?? [];
  context.strokeStyle = item.stroke.color;
  context.lineWidth = item.stroke.widthPx;
  context.lineJoin = "round";
  context.lineCap = item.kind === "line" && dashes.length === 0 ? "round" : "butt";
  context.setLineDash([...dashes]);
  context.stroke(path);
}

function fillPath(context: Canvas2D, paint: Paint, path: Path2D, kit: PaintKit): void {
  if (paint.kind === "none") return;
  if (paint.kind !== "image") {
    context.fillStyle = fillStyle(context, paint);
    context.fill(path);
    return;
  }
  const image = kit.findImage(paint.file);
  if (!image) {
    context.fillStyle = STAND_IN_COLOR;
    context.fill(path);
    return;
  }
  context.save();
  context.clip(path);
  context.imageSmoothingEnabled = true;
  context.imageSmoothingQuality = "high";
  const { x, y, width, height } = paint.dest;
  context.drawImage(image, x, y, width, height);
  context.restore();
}

/** Where a picture is missing: there, quiet, and not black. */
const STAND_IN_COLOR = "#5a5f66";

function setShadow(context: Canvas2D, shadow: Shadow, scale: number): void {
  // Shadows are measured in device pixels, whatever the transform.
  context.shadowColor = shadow.color;
  context.shadowBlur = shadow.blurPx * scale;
  context.shadowOffsetX = shadow.offsetXPx * scale + FAR_PX;
  context.shadowOffsetY = shadow.offsetYPx * scale;
}

function fillStyle(
  context: Canvas2D,
  paint: Exclude<Paint, { kind: "none" | "image" }>,
): string | CanvasGradient {
  if (paint.kind === "solid") return paint.color;
  const gradient =
    paint.kind === "linear"
      ? context.createLinearGradient(paint.x0, paint.y0, paint.x1, paint.y1)
      : context.createRadialGradient(paint.x, paint.y, 0, paint.x, paint.y, paint.radius);
  for (const { at, color } of paint.stops) gradient.addColorStop(at, color);
  return gradient;
}

/** Numbers in paths to a thousandth of a pixel: the same text on every platform. */
const n = (value: number) => Math.round(value * 1000) / 1000;

/** A shape as SVG path data. */
export function shapePath(shape: Shape): string {
  switch (shape.kind) {
    case "rectangle":
      return roundedRectPath(shape.rect, shape.radiiPx);
    case "ellipse": {
      const { x, y, width, height } = shape.rect;
      const arc = (toX: number) => `A${n(width / 2)} ${n(height / 2)} 0 1 1 ${n(toX)} ${n(y + height / 2)}`;
      return `M${n(x)} ${n(y + height / 2)}${arc(x + width)}${arc(x)}Z`;
    }
    case "line":
      return `M${n(shape.from.x)} ${n(shape.from.y)}L${n(shape.to.x)} ${n(shape.to.y)}`;
    case "polygon":
      return `${shape.points.map(({ x, y }, i) => `${i === 0 ? "M" : "L"}${n(x)} ${n(y)}`).join("")}Z`;
  }
}

function roundedRectPath({ x, y, width, height }: Rect, radii: CornerRadii): string {
  const right = x + width;
  const bottom = y + height;
  const most = Math.min(width, height) / 2;
  const [tl, tr, br, bl] = radii.map((radius) => Math.min(radius, most)) as [number, number, number, number];
  const arc = (r: number, toX: number, toY: number) =>
    r > 0 ? `A${n(r)} ${n(r)} 0 0 1 ${n(toX)} ${n(toY)}` : "";
  return (
    `M${n(x + tl)} ${n(y)}H${n(right - tr)}${arc(tr, right, y + tr)}V${n(bottom - br)}${arc(br, right - br, bottom)}` +
    `H${n(x + bl)}${arc(bl, x, bottom - bl)}V${n(y + tl)}${arc(tl, x + tl, y)}Z`
  );
}

function glyphsPath(item: Glyphs, outlines: PaintKit["outlines"]): string {
  const { sizePx, fontId } = item;
  const wide = sizePx * item.scaleX;
  let path = "";
  for (const { id, x, y } of item.glyphs) {
    for (const command of outlines.outline(fontId, id)) {
      path += command[0];
      for (let i = 1; i < command.length; i += 2)
        path += `${i > 1 ? " " : ""}${n(x + (command[i] as number) * wide)} ${n(y + (command[i + 1] as number) * sizePx)}`;
    }
  }
  return path;
}
