import { blurPixels } from "../core/picture/blur.ts";
import type { Glyphs, Matte, Paint, Picture, PictureItem, Shadow } from "../core/picture/picture.ts";
import { toThousandths as n, shapePath } from "../core/picture/shapePath.ts";
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
  clearRect(x: number, y: number, width: number, height: number): void;
  drawImage(image: CanvasImageSource, x: number, y: number, width: number, height: number): void;
  drawImage(
    image: CanvasImageSource,
    fromX: number,
    fromY: number,
    fromWidth: number,
    fromHeight: number,
    x: number,
    y: number,
    width: number,
    height: number,
  ): void;
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
  filter: string;
  lineWidth: number;
  lineJoin: CanvasLineJoin;
  lineCap: CanvasLineCap;
  shadowColor: string;
  shadowBlur: number;
  shadowOffsetX: number;
  shadowOffsetY: number;
}

/** A canvas of the platform: an element, an offscreen one, or the server's. */
export interface MadeCanvas {
  readonly image: CanvasImageSource;
  readonly context: Canvas2D;
}

/** What painting takes from its platform. */
export interface PaintKit {
  readonly outlines: Pick<Shaper, "outline">;
  readonly MakePath: new (svg?: string) => Path2D;
  /** A picture file, decoded. One on its way is left out until it is here; a missing one is painted as a quiet stand-in. */
  readonly findImage: (file: string) => CanvasImageSource | "loading" | "missing";
  readonly makeCanvas: (widthPx: number, heightPx: number) => MadeCanvas;
}

/**
 * What of the picture is painted. Fill: as it is. Key: its alpha as white, for an external keyer.
 */
export type Signal = "fill" | "key";

/** How large a plate's canvas is. */
export const canvasSize = (
  { bounds }: Picture,
  scale: number,
): { readonly widthPx: number; readonly heightPx: number } => ({
  widthPx: Math.max(1, Math.ceil(bounds.width * scale)),
  heightPx: Math.max(1, Math.ceil(bounds.height * scale)),
});

/** Whether painting a picture reads its pixels back: it is better kept in memory then. */
export const isReadBack = ({ blurPx, matte }: Picture): boolean =>
  blurPx !== undefined || (matte !== undefined && matte.softPx > 0);

/**
 * Paints a picture with the top left of its bounds at (0, 0), `scale` device pixels to each output pixel.
 * Words are painted as outlines, one path per item: the same in every painter, to the pixel.
 * @param context of a canvas of `canvasSize`, cleared
 */
export function paintPicture(
  context: Canvas2D,
  picture: Picture,
  scale: number,
  kit: PaintKit,
  signal: Signal = "fill",
): void {
  const { bounds, matte } = picture;
  const { widthPx, heightPx } = canvasSize(picture, scale);
  const toPicture = (target: Canvas2D) =>
    target.setTransform(scale, 0, 0, scale, -bounds.x * scale, -bounds.y * scale);
  toPicture(context);
  context.save();
  if (picture.clip) {
    const { x, y, width, height } = picture.clip;
    context.beginPath();
    context.rect(x, y, width, height);
    context.clip();
  }
  const plate: PlateSize = { widthPx, heightPx, scale, toPicture };
  for (const item of picture.items) paintItem(context, item, plate, kit);
  context.restore();
  context.setTransform(1, 0, 0, 1, 0, 0);
  if (matte && matte.softPx > 0) softenEdges(context, widthPx, heightPx, matte.softPx * scale);
  if (matte?.picture) layMatte(context, matte.picture, plate, kit);
  if (picture.blurPx) {
    const pixels = context.getImageData(0, 0, widthPx, heightPx);
    blurPixels(pixels.data, widthPx, heightPx, picture.blurPx * scale);
    context.putImageData(pixels, 0, 0);
  }
  if (picture.tint) layTint(context, picture.tint, widthPx, heightPx);
  if (signal === "key") layTint(context, { color: "#ffffff", amount: 1 }, widthPx, heightPx);
}

/** Paints a colour over what is there, which keeps its alpha. @param context with no transform */
export function layTint(
  context: Canvas2D,
  { color, amount }: NonNullable<Picture["tint"]>,
  widthPx: number,
  heightPx: number,
): void {
  context.globalCompositeOperation = "source-atop";
  context.globalAlpha = amount;
  context.fillStyle = color;
  context.fillRect(0, 0, widthPx, heightPx);
  context.globalAlpha = 1;
  context.globalCompositeOperation = "source-over";
}

interface PlateSize {
  readonly widthPx: number;
  readonly heightPx: number;
  readonly scale: number;
  /** Sets a canvas of the plate's size to the coordinates of its picture. */
  readonly toPicture: (target: Canvas2D) => void;
}

/** Farther than any plate is wide: casts shadows into the plate from outside it. */
const FAR_PX = 20_000;

function paintItem(context: Canvas2D, item: PictureItem, plate: PlateSize, kit: PaintKit): void {
  const path = new kit.MakePath(item.kind === "glyphs" ? glyphsPath(item, kit.outlines) : shapePath(item));
  if (item.shadows.length > 0) castShadows(context, item, path, plate, kit);
  strokePath(context, item, path);
  if (item.kind !== "line") fillPath(context, item.fill, path, kit);
}

/** Only the shadows: what casts them stands outside, so that edges are not drawn twice. */
function castShadows(
  context: Canvas2D,
  item: PictureItem,
  path: Path2D,
  plate: PlateSize,
  kit: PaintKit,
): void {
  const { scale } = plate;
  const isOutlined = item.stroke !== null && item.stroke.widthPx > 0;
  const isFilled = item.kind !== "line" && item.fill.kind !== "none";
  context.save();
  if (isOutlined && isFilled) {
    // Outline and fill cast one shadow: that of both together.
    const whole = kit.makeCanvas(plate.widthPx, plate.heightPx);
    plate.toPicture(whole.context);
    strokePath(whole.context, item, path);
    fillPath(whole.context, item.fill, path, kit);
    context.setTransform(1, 0, 0, 1, -FAR_PX, 0);
    for (const shadow of item.shadows) {
      setShadow(context, shadow, scale);
      context.drawImage(whole.image, 0, 0, plate.widthPx, plate.heightPx);
    }
  } else {
    context.translate(-FAR_PX / scale, 0);
    for (const shadow of item.shadows) {
      setShadow(context, shadow, scale);
      if (isOutlined) strokePath(context, item, path);
      else fillPath(context, item.fill, path, kit);
    }
  }
  context.restore();
}

/** Lets edges fade out inwards: clear at the edge, whole `softPx` from it. The same arithmetic in every painter. */
function softenEdges(context: Canvas2D, widthPx: number, heightPx: number, softPx: number): void {
  const pixels = context.getImageData(0, 0, widthPx, heightPx);
  const { data } = pixels;
  const inside = new Uint8ClampedArray(data.length);
  // Anything a quarter opaque counts as inside; what is fainter, such as the end of a shadow, the less the fainter it is.
  for (let i = 3; i < data.length; i += 4) inside[i] = (data[i] as number) * 4;
  blurPixels(inside, widthPx, heightPx, softPx / 2);
  // Half is inside at the edge itself, and nearly all two deviations from it.
  for (let i = 3; i < data.length; i += 4)
    data[i] = (data[i] as number) * Math.max(0, ((inside[i] as number) / 255) * 2 - 1);
  context.putImageData(pixels, 0, 0);
}

/** Rec. 709 weights of the light of a colour. */
const LUMA = [0.2126, 0.7152, 0.0722] as const;

function layMatte(
  context: Canvas2D,
  { paint, by, isInverted }: NonNullable<Matte["picture"]>,
  plate: PlateSize,
  kit: PaintKit,
): void {
  const image = kit.findImage(paint.file);
  // A missing matte hides nothing; until one on its way is here, what it cuts out would be seen whole.
  if (image === "missing") return;
  const { widthPx, heightPx } = plate;
  if (image === "loading") {
    context.clearRect(0, 0, widthPx, heightPx);
    return;
  }
  const matte = kit.makeCanvas(widthPx, heightPx);
  plate.toPicture(matte.context);
  matte.context.imageSmoothingEnabled = true;
  matte.context.imageSmoothingQuality = "high";
  const { x, y, width, height } = paint.dest;
  matte.context.drawImage(image, x, y, width, height);
  matte.context.setTransform(1, 0, 0, 1, 0, 0);
  if (by === "brightness" || isInverted) {
    const pixels = matte.context.getImageData(0, 0, widthPx, heightPx);
    const { data } = pixels;
    for (let i = 0; i < data.length; i += 4) {
      const alpha = data[i + 3] as number;
      const light = LUMA.reduce((sum, weight, c) => sum + weight * (data[i + c] as number), 0);
      const through = by === "alpha" ? alpha : (light * alpha) / 255;
      data[i + 3] = isInverted ? 255 - through : through;
    }
    matte.context.putImageData(pixels, 0, 0);
  }
  context.globalCompositeOperation = "destination-in";
  context.drawImage(matte.image, 0, 0, widthPx, heightPx);
  context.globalCompositeOperation = "source-over";
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
  if (image === "loading") return;
  if (image === "missing") {
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
