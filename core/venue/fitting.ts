import type { Fitting } from "./plan.ts";

/** A projective map of the plane, row by row; the last row makes it more than affine. */
export type Homography = readonly [number, number, number, number, number, number, number, number, number];

export const IDENTITY: Homography = [1, 0, 0, 0, 1, 0, 0, 0, 1];

export interface PlanePoint {
  readonly x: number;
  readonly y: number;
}

/** b after a. */
export function compose(a: Homography, b: Homography): Homography {
  const at = (row: number, column: number) =>
    [0, 1, 2].reduce((sum, k) => sum + (b[row * 3 + k] as number) * (a[k * 3 + column] as number), 0);
  return [0, 1, 2].flatMap((row) => [0, 1, 2].map((column) => at(row, column))) as unknown as Homography;
}

export function mapPoint(h: Homography, { x, y }: PlanePoint): PlanePoint {
  const w = h[6] * x + h[7] * y + h[8];
  return { x: (h[0] * x + h[1] * y + h[2]) / w, y: (h[3] * x + h[4] * y + h[5]) / w };
}

/**
 * The map that takes a rectangle to a quadrilateral, corner to corner clockwise from the top left.
 * Source: Heckbert, "Fundamentals of Texture Mapping and Image Warping" (1989), square to quadrilateral (from memory).
 * @returns undefined when three corners lie on a line
 */
export function toQuad(
  widthPx: number,
  heightPx: number,
  quad: readonly PlanePoint[],
): Homography | undefined {
  const [p0, p1, p2, p3] = quad as readonly [PlanePoint, PlanePoint, PlanePoint, PlanePoint];
  const dx1 = p1.x - p2.x;
  const dx2 = p3.x - p2.x;
  const dy1 = p1.y - p2.y;
  const dy2 = p3.y - p2.y;
  const sx = p0.x - p1.x + p2.x - p3.x;
  const sy = p0.y - p1.y + p2.y - p3.y;
  const det = dx1 * dy2 - dx2 * dy1;
  if (Math.abs(det) < 1e-6) return undefined;
  const g = (sx * dy2 - dx2 * sy) / det;
  const h = (dx1 * sy - sx * dy1) / det;
  const unit: Homography = [
    p1.x - p0.x + g * p1.x,
    p3.x - p0.x + h * p3.x,
    p0.x,
    p1.y - p0.y + g * p1.y,
    p3.y - p0.y + h * p3.y,
    p0.y,
    g,
    h,
    1,
  ];
  return compose([1 / widthPx, 0, 0, 0, 1 / heightPx, 0, 0, 0, 1], unit);
}

/** The size of the glass that a turned picture fills. */
export function glassSize(
  widthPx: number,
  heightPx: number,
  { turnDeg }: Fitting,
): { readonly widthPx: number; readonly heightPx: number } {
  return turnDeg % 180 === 0 ? { widthPx, heightPx } : { widthPx: heightPx, heightPx: widthPx };
}

/**
 * Where the picture's points lie on the glass: mirrored, then turned clockwise, then drawn in from the edges, then
 * pinned by its corners. Undefined when the corners cannot hold a picture.
 */
export function fittingMap(widthPx: number, heightPx: number, fitting: Fitting): Homography | undefined {
  const { turnDeg, mirrored, marginsPx, corners } = fitting;
  const glass = glassSize(widthPx, heightPx, fitting);
  let map: Homography = mirrored ? [-1, 0, widthPx, 0, 1, 0, 0, 0, 1] : IDENTITY;
  if (turnDeg === 90) map = compose(map, [0, -1, heightPx, 1, 0, 0, 0, 0, 1]);
  if (turnDeg === 180) map = compose(map, [-1, 0, widthPx, 0, -1, heightPx, 0, 0, 1]);
  if (turnDeg === 270) map = compose(map, [0, 1, 0, -1, 0, widthPx, 0, 0, 1]);
  const { top, right, bottom, left } = marginsPx;
  if (top + right + bottom + left > 0) {
    const sx = Math.max(0.05, (glass.widthPx - left - right) / glass.widthPx);
    const sy = Math.max(0.05, (glass.heightPx - top - bottom) / glass.heightPx);
    map = compose(map, [sx, 0, left, 0, sy, top, 0, 0, 1]);
  }
  if (!corners) return map;
  const [a, b, c, d] = corners;
  const quad = toQuad(glass.widthPx, glass.heightPx, [
    { x: a.xPx, y: a.yPx },
    { x: glass.widthPx + b.xPx, y: b.yPx },
    { x: glass.widthPx + c.xPx, y: glass.heightPx + c.yPx },
    { x: d.xPx, y: glass.heightPx + d.yPx },
  ]);
  return quad && compose(map, quad);
}

/** The same map in a picture drawn so many times as large. */
export function scaled(h: Homography, scale: number): Homography {
  return compose(compose([1 / scale, 0, 0, 0, 1 / scale, 0, 0, 0, 1], h), [
    scale,
    0,
    0,
    0,
    scale,
    0,
    0,
    0,
    1,
  ]);
}

/** As CSS writes it; "none" for a picture that lies as it is, which the browser then composes to the pixel. */
export function cssOf(h: Homography): string {
  if (h.every((value, i) => Math.abs(value - (IDENTITY[i] as number)) < 1e-12)) return "none";
  const [a, b, c, d, e, f, g, i, j] = h;
  return `matrix3d(${[a, d, 0, g, b, e, 0, i, 0, 0, 1, 0, c, f, 0, j].join(",")})`;
}
