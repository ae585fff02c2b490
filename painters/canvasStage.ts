import type { Placement } from "../core/compose/placements.ts";
import type { Pose } from "../core/motion/pose.ts";
import type { Plate } from "../core/scene/part.ts";
import { allCorners, boundsOf, clipOf, isAtRest, opacityOf } from "./geometry.ts";
import { type Canvas2D, type PaintKit, paintPicture, shapePath } from "./paint.ts";

/** A canvas of the platform: an element, an offscreen one, or the server's. */
export interface CanvasMaker {
  readonly create: (
    widthPx: number,
    heightPx: number,
  ) => { readonly image: CanvasImageSource; readonly context: Canvas2D };
}

export interface CanvasStageParts {
  readonly kit: PaintKit;
  readonly maker: CanvasMaker;
  /** Device pixels to each output pixel. */
  readonly scale: number;
  readonly widthPx: number;
  readonly heightPx: number;
  /** Where in the picture the canvas begins; at its origin when not given. */
  readonly from?: { readonly xPx: number; readonly yPx: number };
  /** Gives plates that are painted already; without it each is painted for every drawing. */
  readonly painted?: (plate: Plate) => CanvasImageSource;
  /** The program picture, for what is squeezed into a window; none leaves the window clear. */
  readonly program?: CanvasImageSource;
}

/**
 * Composes the same placements on one canvas: stills and tests. Clips show their posters.
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
    const opacity = opacityOf(placement.pose);
    if (opacity <= 0) continue;
    context.save();
    switch (placement.kind) {
      case "plate":
        drawPlate(context, placement, parts, within, opacity);
        break;
      case "group":
        drawGroup(context, placement, parts, within, opacity);
        break;
      case "video": {
        const { video, x, y, pose, id } = placement;
        if (video.poster)
          drawPlate(
            context,
            { kind: "plate", id, plate: video.poster, x, y, pose, cornerPx: 0 },
            parts,
            within,
            opacity,
          );
        break;
      }
      case "program": {
        if (!parts.program) break;
        const { rect, radiiPx } = placement;
        context.setTransform(...within);
        context.globalAlpha = opacity;
        context.clip(new parts.kit.MakePath(shapePath({ kind: "rectangle", rect, radiiPx })));
        context.drawImage(parts.program, rect.x, rect.y, rect.width, rect.height);
      }
    }
    context.restore();
  }
}

function drawPlate(
  context: Canvas2D,
  placement: Extract<Placement, { kind: "plate" }>,
  parts: CanvasStageParts,
  within: Matrix,
  opacity: number,
): void {
  const { plate, pose, cornerPx } = placement;
  const bounds = boundsOf(placement);
  const { scale } = parts;
  const painted = parts.painted?.(plate) ?? paintPlate(plate, parts);
  const center = { x: bounds.x + bounds.width / 2, y: bounds.y + bounds.height / 2 };
  context.setTransform(...multiply(within, poseMatrix(pose, center)));
  context.globalAlpha = opacity;
  const clip = clipOf(pose, bounds);
  if (clip) {
    const rect = { ...clip, x: bounds.x + clip.x, y: bounds.y + clip.y };
    const radius = Math.min(cornerPx, clip.width / 2, clip.height / 2);
    context.clip(new parts.kit.MakePath(shapePath({ kind: "rectangle", rect, radiiPx: allCorners(radius) })));
  }
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

function paintPlate({ picture }: Plate, { maker, scale, kit }: CanvasStageParts): CanvasImageSource {
  const { image, context } = maker.create(
    Math.max(1, Math.ceil(picture.bounds.width * scale)),
    Math.max(1, Math.ceil(picture.bounds.height * scale)),
  );
  paintPicture(context, picture, scale, kit);
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
  const { pose, center, x, y, clip, blend, children } = placement;
  const own = multiply(
    within,
    poseMatrix({ ...pose, offsetXPx: pose.offsetXPx + x, offsetYPx: pose.offsetYPx + y }, center),
  );
  if (opacity === 1 && blend === "normal" && !clip) {
    drawAll(context, children, parts, own);
    return;
  }
  const { image, context: inner } = parts.maker.create(
    Math.ceil(parts.widthPx * parts.scale),
    Math.ceil(parts.heightPx * parts.scale),
  );
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
  context.drawImage(
    image,
    0,
    0,
    Math.ceil(parts.widthPx * parts.scale),
    Math.ceil(parts.heightPx * parts.scale),
  );
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
