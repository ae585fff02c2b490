import type { Placement, PlatePlacement } from "../core/compose/placements.ts";
import { clipOf } from "../core/compose/wipe.ts";
import type { Pose } from "../core/motion/pose.ts";
import type { Picture, Point, Rect } from "../core/picture/picture.ts";
import { shapePath } from "../core/picture/shapePath.ts";
import { withAlpha } from "../core/scene/lookup.ts";
import type { Plate } from "../core/scene/part.ts";
import { boundsOf, isAtRest, opacityOf } from "./geometry.ts";
import { type Canvas2D, canvasSize, layTint, type PaintKit, paintPicture } from "./paint.ts";

export interface CanvasStageParts {
  readonly kit: PaintKit;
  /** Device pixels to each output pixel. */
  readonly scale: number;
  readonly widthPx: number;
  readonly heightPx: number;
  /** Where in the picture the canvas begins; at its origin when not given. */
  readonly from?: { readonly xPx: number; readonly yPx: number };
  /** Gives plates that are painted already; without it each is painted for every drawing. */
  readonly painted?: (plate: Plate) => CanvasImageSource;
  /** The frame that a clip shows; without it, or before there is one, its poster stands for it. */
  readonly frameOf?: (video: Extract<Placement, { kind: "video" }>) => CanvasImageSource | undefined;
  /** The program picture, for what is squeezed into a window, which it fills from its middle; none leaves the window clear. */
  readonly program?: {
    readonly image: CanvasImageSource;
    readonly widthPx: number;
    readonly heightPx: number;
  };
}

/**
 * Composes the same placements on one canvas: stills, straight fills and tests.
 * @param context of a canvas of widthPx × heightPx times scale, cleared
 */
export function drawOnCanvas(
  context: Canvas2D,
  placements: readonly Placement[],
  parts: CanvasStageParts,
): void {
  const { scale, from = { xPx: 0, yPx: 0 } } = parts;
  drawAll(context, placements, parts, [scale, 0, 0, scale, -from.xPx * scale, -from.yPx * scale]);
}

type Matrix = readonly [number, number, number, number, number, number];

function drawAll(
  context: Canvas2D,
  placements: readonly Placement[],
  parts: CanvasStageParts,
  within: Matrix,
): void {
  for (const placement of placements) {
    if (placement.kind === "sound") continue;
    const opacity = opacityOf(placement.pose);
    if (opacity <= 0) continue;
    context.save();
    switch (placement.kind) {
      case "plate":
        drawPlate(context, placement, parts, within, opacity);
        break;
      case "drawn": {
        const { picture, x, y, pose, pivot } = placement;
        const { bounds } = picture;
        const on = { ...bounds, x: x + bounds.x, y: y + bounds.y };
        drawImage(context, paintNow(picture, parts), on, { pose, pivot }, SHARP, parts, within, opacity);
        break;
      }
      case "group":
        drawGroup(context, placement, parts, within, opacity);
        break;
      case "video":
        drawVideo(context, placement, parts, within, opacity);
        break;
      case "program": {
        if (!parts.program) break;
        context.setTransform(...multiply(within, poseMatrix(placement.pose, placement.pivot)));
        context.globalAlpha = opacity;
        drawProgram(context, placement, parts.program, parts);
      }
    }
    context.restore();
  }
}

const SHARP = [0, 0, 0, 0] as const;
type Radii = Extract<Placement, { kind: "plate" }>["radiiPx"];

function drawPlate(
  context: Canvas2D,
  placement: PlatePlacement,
  parts: CanvasStageParts,
  within: Matrix,
  opacity: number,
): void {
  const { plate, radiiPx, isAdded } = placement;
  const painted = parts.painted?.(plate) ?? paintNow(plate.picture, parts);
  if (isAdded) context.globalCompositeOperation = "lighter";
  drawImage(context, painted, boundsOf(placement), placement, radiiPx, parts, within, opacity);
}

/** A painted picture on its bounds, as its pose has it. */
function drawImage(
  context: Canvas2D,
  painted: CanvasImageSource,
  bounds: Rect,
  { pose, pivot }: { readonly pose: Pose; readonly pivot: Point },
  radiiPx: Radii,
  { scale, kit }: CanvasStageParts,
  within: Matrix,
  opacity: number,
): void {
  context.setTransform(...multiply(within, poseMatrix(pose, pivot)));
  context.globalAlpha = opacity;
  const clip = cut(pose, bounds);
  if (clip) clipTo(context, clip, radiiPx, kit);
  // A plate at rest lies on whole pixels: it is copied, not resampled.
  context.imageSmoothingEnabled = !isAtRest(pose) || scale !== 1;
  context.drawImage(
    painted,
    bounds.x,
    bounds.y,
    Math.ceil(bounds.width * scale) / scale,
    Math.ceil(bounds.height * scale) / scale,
  );
}

/** What is left of a rectangle when its edges are cut off; undefined when nothing is. */
function cut(pose: Pose, rect: Rect): Rect | undefined {
  const clip = clipOf(pose, rect);
  return clip && { ...clip, x: rect.x + clip.x, y: rect.y + clip.y };
}

function clipTo(context: Canvas2D, rect: Rect, radii: Radii, kit: PaintKit): void {
  const most = Math.min(rect.width, rect.height) / 2;
  const radiiPx = radii.map((radius) => Math.min(radius, most)) as unknown as Radii;
  context.clip(new kit.MakePath(shapePath({ kind: "rectangle", rect, radiiPx })));
}

function paintNow(picture: Picture, { scale, kit }: CanvasStageParts): CanvasImageSource {
  const { widthPx, heightPx } = canvasSize(picture, scale);
  const { image, context } = kit.makeCanvas(widthPx, heightPx);
  paintPicture(context, picture, scale, kit);
  return image;
}

function drawVideo(
  context: Canvas2D,
  placement: Extract<Placement, { kind: "video" }>,
  parts: CanvasStageParts,
  within: Matrix,
  opacity: number,
): void {
  const { video, x, y, pose, pivot, radiiPx, blurPx, tints } = placement;
  const box = { ...placement.box, x: x + placement.box.x, y: y + placement.box.y };
  const frame = parts.frameOf?.(placement);
  if (frame) {
    context.setTransform(...multiply(within, poseMatrix(pose, pivot)));
    context.globalAlpha = opacity;
    clipTo(context, cut(pose, box) ?? box, radiiPx, parts.kit);
    context.imageSmoothingEnabled = true;
    context.imageSmoothingQuality = "high";
    if (blurPx > 0) context.filter = `blur(${blurPx * parts.scale}px)`;
    const { x: fx, y: fy, width, height } = video.frame;
    context.drawImage(tinted(frame, video.frame, tints.at(-1), parts), x + fx, y + fy, width, height);
    return;
  }
  if (!video.poster) return;
  const { picture } = video.poster;
  const tint = tints.at(-1);
  const bare = blurPx <= 0 && !tint && placement.box === video.box;
  const painted = bare
    ? (parts.painted?.(video.poster) ?? paintNow(picture, parts))
    : paintNow({ ...picture, ...(blurPx > 0 ? { blurPx } : {}), ...(tint ? { tint } : {}) }, parts);
  const { bounds } = picture;
  const on = { ...bounds, x: x + bounds.x, y: y + bounds.y };
  if (placement.box !== video.box) {
    context.setTransform(...multiply(within, poseMatrix(pose, pivot)));
    clipTo(context, box, radiiPx, parts.kit);
  }
  drawImage(context, painted, on, { pose, pivot }, radiiPx, parts, within, opacity);
}

function drawProgram(
  context: Canvas2D,
  { rect, radiiPx, pose, blurPx, tints }: Extract<Placement, { kind: "program" }>,
  { image, widthPx, heightPx }: NonNullable<CanvasStageParts["program"]>,
  { kit, scale }: CanvasStageParts,
): void {
  clipTo(context, cut(pose, rect) ?? rect, radiiPx, kit);
  const grown = Math.max(rect.width / widthPx, rect.height / heightPx);
  const [width, height] = [rect.width / grown, rect.height / grown];
  const [x, y] = [(widthPx - width) / 2, (heightPx - height) / 2];
  context.imageSmoothingEnabled = true;
  if (blurPx > 0) context.filter = `blur(${blurPx * scale}px)`;
  context.drawImage(image, x, y, width, height, rect.x, rect.y, rect.width, rect.height);
  const tint = tints.at(-1);
  if (!tint) return;
  context.filter = "none";
  context.fillStyle = withAlpha(tint.color, tint.amount);
  context.fillRect(rect.x, rect.y, rect.width, rect.height);
}

/** A frame with a tint over what of it is not clear. */
function tinted(
  frame: CanvasImageSource,
  { width, height }: Rect,
  tint: Picture["tint"],
  { scale, kit }: CanvasStageParts,
): CanvasImageSource {
  if (!tint) return frame;
  const [widthPx, heightPx] = [Math.ceil(width * scale), Math.ceil(height * scale)];
  const { image, context } = kit.makeCanvas(widthPx, heightPx);
  context.drawImage(frame, 0, 0, widthPx, heightPx);
  layTint(context, tint, widthPx, heightPx);
  return image;
}

/** Members are drawn together and then laid on as one, where the group fades, blends or is cut. */
function drawGroup(
  context: Canvas2D,
  placement: Extract<Placement, { kind: "group" }>,
  parts: CanvasStageParts,
  within: Matrix,
  opacity: number,
): void {
  const { pose, pivot, x, y, clip, blend, children, isIsolated } = placement;
  const own = multiply(
    within,
    poseMatrix({ ...pose, offsetXPx: pose.offsetXPx + x, offsetYPx: pose.offsetYPx + y }, pivot),
  );
  if (opacity === 1 && blend === "normal" && !clip && !isIsolated) {
    drawAll(context, children, parts, own);
    return;
  }
  const widthPx = Math.ceil(parts.widthPx * parts.scale);
  const heightPx = Math.ceil(parts.heightPx * parts.scale);
  const { image, context: inner } = parts.kit.makeCanvas(widthPx, heightPx);
  if (clip) {
    inner.setTransform(...own);
    const shape =
      clip.kind === "box" ? ({ kind: "rectangle", rect: clip.rect, radiiPx: clip.radiiPx } as const) : clip;
    inner.clip(new parts.kit.MakePath(shapePath(shape)));
  }
  drawAll(inner, children, parts, own);
  context.setTransform(1, 0, 0, 1, 0, 0);
  context.globalAlpha = opacity;
  context.globalCompositeOperation = blend === "normal" ? "source-over" : blend;
  context.drawImage(image, 0, 0, widthPx, heightPx);
}

/** translate, then turn and grow around a point: what CSS does with a transform-origin. */
function poseMatrix(pose: Pose, center: { readonly x: number; readonly y: number }): Matrix {
  const angle = (pose.rotationDeg * Math.PI) / 180;
  const cos = Math.cos(angle);
  const sin = Math.sin(angle);
  const sx = pose.scale * pose.scaleX;
  const sy = pose.scale * pose.scaleY;
  const [a, b, c, d] = [cos * sx, sin * sx, -sin * sy, cos * sy];
  return [
    a,
    b,
    c,
    d,
    center.x + pose.offsetXPx - a * center.x - c * center.y,
    center.y + pose.offsetYPx - b * center.x - d * center.y,
  ];
}

function multiply(m: Matrix, n: Matrix): Matrix {
  return [
    m[0] * n[0] + m[2] * n[1],
    m[1] * n[0] + m[3] * n[1],
    m[0] * n[2] + m[2] * n[3],
    m[1] * n[2] + m[3] * n[3],
    m[0] * n[4] + m[2] * n[5] + m[4],
    m[1] * n[4] + m[3] * n[5] + m[5],
  ];
}

/**
 * The two halves that an external keyer needs, from one composed picture: the fill's colours, straight, opaque over
 * black, and the key, the alpha as grey. fill × key + background × (1 − key) is the picture over the background.
 * @param picture RGBA with straight alpha
 */
export function fillAndKey(picture: Uint8ClampedArray): {
  readonly fill: Uint8ClampedArray;
  readonly key: Uint8ClampedArray;
} {
  const fill = toStraightFill(new Uint8ClampedArray(picture));
  const key = new Uint8ClampedArray(picture.length);
  for (let i = 0; i < picture.length; i += 4) {
    const alpha = picture[i + 3] as number;
    for (let channel = 0; channel < 3; channel++) key[i + channel] = alpha;
    key[i + 3] = 255;
  }
  return { fill, key };
}

/** Makes a picture its own straight fill: its colours opaque, black where nothing is. @param rgba straight alpha, changed */
export function toStraightFill(rgba: Uint8ClampedArray): Uint8ClampedArray {
  for (let i = 0; i < rgba.length; i += 4) {
    if (rgba[i + 3] === 0) rgba.fill(0, i, i + 3);
    rgba[i + 3] = 255;
  }
  return rgba;
}
