import { type BoxPaint, paintFor } from "../picture/boxPaint.ts";
import {
  growToPixels,
  type Picture,
  type PictureItem,
  type Rect,
  type Shadow,
  shadowReachPx,
} from "../picture/picture.ts";
import { toThousandths as n } from "../picture/shapePath.ts";

/** A gauge in the coordinates of its part. */
export interface GaugeSpec {
  readonly box: Rect;
  readonly form:
    | {
        readonly kind: "ring";
        /** Where it begins, clockwise from upwards, and how far it goes round when full. */
        readonly fromDeg: number;
        readonly sweepDeg: number;
        readonly thicknessPx: number;
      }
    | { readonly kind: "bar"; readonly towards: "right" | "left" | "up" | "down" };
  readonly isRound: boolean;
  readonly fill: BoxPaint;
  readonly track: BoxPaint;
  readonly shadows: readonly Shadow[];
  /** The value at which it is full; null: a countdown is, when it begins. */
  readonly fullAt: number | null;
}

/** What a gauge shows when this much of it is full. @param share 0 to 1 */
export function pictureOfGauge(spec: GaugeSpec, share: number): Picture {
  const was = last.get(spec);
  if (was?.share === share) return was.picture;
  const picture = drawGauge(spec, share);
  last.set(spec, { share, picture });
  return picture;
}

/** From frame to frame a gauge mostly shows what it did: the same picture is not painted again. */
const last = new WeakMap<GaugeSpec, { readonly share: number; readonly picture: Picture }>();

function drawGauge(spec: GaugeSpec, share: number): Picture {
  const { box, track, fill, shadows } = spec;
  const full = Math.max(0, Math.min(1, share));
  const items: PictureItem[] = [];
  const add = (data: string | null, paint: BoxPaint, cast: readonly Shadow[]) => {
    if (data !== null && paint.kind !== "none")
      items.push({ kind: "path", data, fill: paintFor(paint, box), stroke: null, shadows: cast });
  };
  add(outlineOf(spec, 1), track, shadows);
  add(outlineOf(spec, full), fill, track.kind === "none" ? shadows : []);
  return { bounds: growToPixels(box, shadowReachPx(shadows) + 1), items };
}

function outlineOf(spec: GaugeSpec, share: number): string | null {
  if (share <= 0) return null;
  return spec.form.kind === "ring" ? ringPath(spec, share) : barPath(spec, share);
}

/** A stretch of a ring, with round ends where it is so: two arcs and its ends. */
function ringPath({ box, form, isRound }: GaugeSpec, share: number): string {
  if (form.kind !== "ring") throw new Error(`No ring but a ${form.kind}`);
  const outer = Math.min(box.width, box.height) / 2;
  const thick = Math.min(form.thicknessPx, outer);
  const inner = outer - thick;
  const middle = { x: box.x + box.width / 2, y: box.y + box.height / 2 };
  const sweep = Math.max(-360, Math.min(360, form.sweepDeg)) * share;
  const on = (radius: number, deg: number) => {
    const angle = (deg * Math.PI) / 180;
    return `${n(middle.x + radius * Math.sin(angle))} ${n(middle.y - radius * Math.cos(angle))}`;
  };
  const way = sweep >= 0 ? 1 : 0;
  const from = form.fromDeg;
  const to = form.fromDeg + sweep;
  const half = form.fromDeg + sweep / 2;
  // An arc whose ends meet says nothing: each is drawn in two halves.
  const arc = (radius: number, mid: number, end: number, turn: number) =>
    radius <= 0
      ? `L${on(0, end)}`
      : `A${n(radius)} ${n(radius)} 0 0 ${turn} ${on(radius, mid)}A${n(radius)} ${n(radius)} 0 0 ${turn} ${on(radius, end)}`;
  const isWhole = Math.abs(sweep) >= 359.999;
  if (isWhole)
    return (
      `M${on(outer, from)}${arc(outer, half, to, way)}Z` +
      (inner > 0 ? `M${on(inner, to)}${arc(inner, half, from, 1 - way)}Z` : "")
    );
  const cap = (radius: number, at: string) =>
    isRound && inner > 0 ? `A${n(radius)} ${n(radius)} 0 0 ${way} ${at}` : `L${at}`;
  return (
    `M${on(outer, from)}${arc(outer, half, to, way)}${cap(thick / 2, on(inner, to))}` +
    `${arc(inner, half, from, 1 - way)}${cap(thick / 2, on(outer, from))}Z`
  );
}

function barPath({ box, form, isRound }: GaugeSpec, share: number): string {
  if (form.kind !== "bar") throw new Error(`No bar but a ${form.kind}`);
  const isLevel = form.towards === "right" || form.towards === "left";
  const width = isLevel ? box.width * share : box.width;
  const height = isLevel ? box.height : box.height * share;
  const x = form.towards === "left" ? box.x + box.width - width : box.x;
  const y = form.towards === "up" ? box.y + box.height - height : box.y;
  const r = isRound ? Math.min(width, height) / 2 : 0;
  const arc = (toX: number, toY: number) => (r > 0 ? `A${n(r)} ${n(r)} 0 0 1 ${n(toX)} ${n(toY)}` : "");
  return (
    `M${n(x + r)} ${n(y)}H${n(x + width - r)}${arc(x + width, y + r)}V${n(y + height - r)}${arc(x + width - r, y + height)}` +
    `H${n(x + r)}${arc(x, y + height - r)}V${n(y + r)}${arc(x + r, y)}Z`
  );
}
