import type { MovingProperty } from "../motion/track.ts";
import type { Measure } from "../names/measure.ts";
import type { ReadableObject } from "./objectKinds.ts";
import { allObjects, type Template } from "./template.ts";

/** What drawing a template once takes, before any words are in it. */
export interface TemplateCost {
  /** Pixels painted, in millions: each object with its shadows, its blur and its steps of blur and tint. */
  readonly megapixels: number;
  /** The dearest object, and its share. */
  readonly dearest: { readonly id: string; readonly megapixels: number } | null;
}

/** Plates prepared for an object whose blur moves. */
const STEPS = 6;

/** Reckons what a template costs to draw, from its boxes. Boxes reach beyond the canvas for nothing, and count all the same. */
export function costOf(template: Template): TemplateCost {
  let sum = 0;
  let dearest: TemplateCost["dearest"] = null;
  for (const { object } of allObjects(template)) {
    const megapixels = pixelsOf(object) / 1_000_000;
    sum += megapixels;
    if (!dearest || megapixels > dearest.megapixels) dearest = { id: object.id, megapixels };
  }
  return { megapixels: sum, dearest };
}

/** What a style decides is reckoned as this; its limits hold when it is known. */
const OF_THE_STYLE_PX = 100;
const px = (measure: Measure): number =>
  typeof measure === "number" ? measure : (measure.or ?? OF_THE_STYLE_PX);

function pixelsOf(object: ReadableObject): number {
  if (object.kind === "group" || object.kind === "sound") return 0;
  const [width, height] = [px(object.box.width), px(object.box.height)];
  const plate = (aroundPx: number) => (width + 2 * aroundPx) * (height + 2 * aroundPx);
  const blurPx = "blurPx" in object ? px(object.blurPx) : 0;
  const softPx = "softEdgePx" in object ? px(object.softEdgePx) : 0;
  const shadows = "shadows" in object ? object.shadows : [];
  // A blur is worked out on all of its plate: about twice what painting it takes.
  const own = plate(blurPx * 3) * (blurPx > 0 || softPx > 0 ? 3 : 1);
  const cast = shadows.reduce((all, shadow) => {
    const castPx = "shadow" in shadow ? OF_THE_STYLE_PX : px(shadow.blurPx);
    return all + plate(castPx * 3) * (castPx > 0 ? 3 : 1);
  }, 0);
  const { enter, exit, change, stay, blurPx: moved, tint, color } = object.motion;
  const movedPx = px(moved);
  const moves = [
    ...enter,
    ...(exit === "mirror" ? [] : exit),
    ...change.in,
    ...change.out,
    ...(stay?.tracks ?? []),
  ];
  const has = (property: MovingProperty) => moves.some((track) => track.property === property);
  // Each colour that a motion goes to is one more plate, and each of them has its steps of blur.
  const colors = 1 + (has("tint") && tint ? 1 : 0) + (has("color") && color ? 1 : 0);
  const steps = has("blur") && movedPx > 0 ? STEPS * colors * plate(movedPx * 3) * 3 : 0;
  return own + cast + steps + (colors - 1) * plate(0);
}
