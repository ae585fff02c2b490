import { allObjects, type SceneObject, type Template } from "./template.ts";

/** What drawing a template once takes, before any words are in it. */
export interface TemplateCost {
  /** Pixels painted, in millions: each object with its shadows, its blur and its steps of blur and tint. */
  readonly megapixels: number;
  /** The dearest object, and its share. */
  readonly dearest: { readonly id: string; readonly megapixels: number } | null;
}

/** Plates prepared for an object whose blur or tint moves. */
const STEPS = 8;

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

function pixelsOf(object: SceneObject): number {
  if (object.kind === "unreadable" || object.kind === "group") return 0;
  const { width, height } = object.box;
  const plate = (aroundPx: number) => (width + 2 * aroundPx) * (height + 2 * aroundPx);
  const blurPx = "blurPx" in object ? object.blurPx : 0;
  const shadows = "shadows" in object ? object.shadows : [];
  const own = plate(blurPx * 3) * (blurPx > 0 ? 3 : 1);
  // A blur is worked out on all of its plate: about twice what painting it takes.
  const cast = shadows.reduce(
    (all, shadow) => all + plate(shadow.blurPx * 3) * (shadow.blurPx > 0 ? 3 : 1),
    0,
  );
  const { enter, exit, change, stay, blurPx: movedPx, tint } = object.motion;
  const moves = [
    ...enter,
    ...(exit === "mirror" ? [] : exit),
    ...change.in,
    ...change.out,
    ...(stay?.tracks ?? []),
  ];
  const has = (property: string) => moves.some((track) => track.property === property);
  const steps =
    (has("blur") && movedPx > 0 ? STEPS * plate(movedPx * 3) * 3 : 0) +
    (has("tint") && tint ? STEPS * plate(0) : 0);
  return own + cast + steps;
}
