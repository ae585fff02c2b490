import { type Pose, REST } from "../motion/pose.ts";
import {
  type CornerRadii,
  growToPixels,
  type Paint,
  type Picture,
  type PictureItem,
  type Point,
} from "../picture/picture.ts";
import type { Looks, Plate } from "../scene/part.ts";
import type { Placement, Tint } from "./placement.ts";
import { clipOf, uncut } from "./wipe.ts";

/**
 * What blur, tint and colour make of a plate at an instant. A plate is never painted anew for them: those prepared are mixed by
 * weights, which is exact for tint and colour, and for blur as near as its steps are close.
 */
export interface Effects {
  /** Standard deviation now, and the most it can become: its steps are parts of that. */
  readonly blurPx: number;
  readonly mostBlurPx: number;
  /** From the innermost outwards. */
  readonly tints: readonly Tint[];
  readonly color: { readonly to: string; readonly amount: number } | null;
}
export const NO_EFFECTS: Effects = { blurPx: 0, mostBlurPx: 0, tints: [], color: null };

const within = (value: number) => Math.max(0, Math.min(1, value));

/** The effects of a part with these looks in this pose, within those of what it lies in. */
export function effectsIn(looks: Looks, pose: Pose, around: Effects): Effects {
  if (looks.blurPx === 0 && looks.tint === null && looks.color === null) return around;
  const tint = looks.tint === null ? 0 : within(pose.tint);
  const color = looks.color === null ? 0 : within(pose.color);
  return {
    blurPx: Math.hypot(looks.blurPx * within(pose.blur), around.blurPx),
    mostBlurPx: Math.hypot(looks.blurPx, around.mostBlurPx),
    tints:
      looks.tint !== null && tint > 0 ? [{ color: looks.tint, amount: tint }, ...around.tints] : around.tints,
    color: looks.color !== null && color > 0 ? { to: looks.color, amount: color } : around.color,
  };
}

/** Steps of blur that are prepared. */
const STEPS = 6;

/** What a prepared plate is: blurred by so many steps, in its own colours, in another colour, or all in one. */
interface Look {
  readonly step: number;
  readonly paint: { readonly kind: "own" } | { readonly kind: "filled" | "tinted"; readonly color: string };
}

const OWN = { kind: "own" } as const;

/** Plates and how much of each, adding up to 1; the first with the most of what lies beneath. */
function mixOf(effects: Effects): readonly { readonly look: Look; readonly weight: number }[] {
  let paints: { readonly paint: Look["paint"]; readonly weight: number }[] = [{ paint: OWN, weight: 1 }];
  const blend = (paint: Look["paint"], amount: number) => {
    paints = [
      ...paints.map((one) => ({ ...one, weight: one.weight * (1 - amount) })),
      { paint, weight: amount },
    ];
  };
  if (effects.color) blend({ kind: "filled", color: effects.color.to }, effects.color.amount);
  for (const { color, amount } of effects.tints) blend({ kind: "tinted", color }, amount);
  const at = effects.mostBlurPx > 0 ? (effects.blurPx / effects.mostBlurPx) * STEPS : 0;
  const lower = Math.min(STEPS, Math.floor(at));
  const upper = lower >= STEPS ? 0 : at - lower;
  return paints
    .flatMap(({ paint, weight }) => [
      { look: { step: lower, paint }, weight: weight * (1 - upper) },
      { look: { step: lower + 1, paint }, weight: weight * upper },
    ])
    .filter(({ weight }) => weight > 0.002);
}

/** Where a plate stands, with what effects make of it: itself, or several that are mixed. */
export function placeMixed(
  placed: {
    readonly id: string;
    readonly plate: Plate;
    readonly x: number;
    readonly y: number;
    readonly pose: Pose;
    readonly pivot: Point;
    readonly radiiPx: CornerRadii;
  },
  effects: Effects,
): Placement {
  const { plate, x, y, pose, id, pivot, radiiPx } = placed;
  const mix = effects === NO_EFFECTS ? [] : mixOf(effects);
  const [only] = mix;
  if (mix.length <= 1)
    return {
      kind: "plate",
      ...placed,
      plate: only ? lookOf(plate, only.look, effects.mostBlurPx) : plate,
      isAdded: false,
    };
  const sum = mix.reduce((all, { weight }) => all + weight, 0);
  const { bounds } = plate.picture;
  const clip = clipOf(pose, bounds);
  return {
    kind: "group",
    id,
    children: mix.map(({ look, weight }, i) => {
      const made = lookOf(plate, look, effects.mostBlurPx);
      return {
        kind: "plate",
        id: `${id}~${look.step}${look.paint.kind}${look.paint.kind === "own" ? "" : look.paint.color}`,
        plate: made,
        x,
        y,
        pose: { ...REST, opacity: weight / sum },
        pivot,
        radiiPx: SQUARE,
        isAdded: i > 0,
      };
    }),
    x: 0,
    y: 0,
    pose: uncut(pose),
    pivot,
    blend: "normal",
    clip: clip && {
      kind: "box",
      rect: { ...clip, x: x + bounds.x + clip.x, y: y + bounds.y + clip.y },
      radiiPx,
    },
    isIsolated: true,
  } as Placement;
}

export const SQUARE: CornerRadii = [0, 0, 0, 0];

/** Every plate that a part with these looks may be made of. */
export function looksOfPlate(plate: Plate, within: PreparedLooks): Plate[] {
  const paints: Look["paint"][] = [
    OWN,
    ...within.colors.map((color) => ({ kind: "filled", color }) as const),
    ...within.tints.map((color) => ({ kind: "tinted", color }) as const),
  ];
  const steps = within.mostBlurPx > 0 ? STEPS : 0;
  return paints.flatMap((paint) =>
    Array.from({ length: steps + 1 }, (_, step) => lookOf(plate, { step, paint }, within.mostBlurPx)),
  );
}

/** The looks that motions can bring a part to, its own and those of the groups it lies in. */
export interface PreparedLooks {
  readonly mostBlurPx: number;
  readonly tints: readonly string[];
  readonly colors: readonly string[];
}
export const NO_LOOKS: PreparedLooks = { mostBlurPx: 0, tints: [], colors: [] };
export const withLooks = ({ blurPx, tint, color }: Looks, around: PreparedLooks): PreparedLooks => ({
  mostBlurPx: Math.hypot(blurPx, around.mostBlurPx),
  tints: tint === null ? around.tints : [...new Set([tint, ...around.tints])],
  colors: color === null ? around.colors : [color],
});

const made = new WeakMap<Plate, Map<string, Plate>>();

function lookOf(plate: Plate, { step, paint }: Look, mostBlurPx: number): Plate {
  if (step === 0 && paint.kind === "own") return plate;
  const name = `~b${step === 0 ? 0 : (mostBlurPx * step) / STEPS}${paint.kind}${paint.kind === "own" ? "" : paint.color}`;
  const known = made.get(plate) ?? new Map<string, Plate>();
  made.set(plate, known);
  let look = known.get(name);
  if (!look) {
    const blurPx = (mostBlurPx * step) / STEPS;
    look = { key: plate.key + name, picture: lookedAt(plate.picture, blurPx, paint) };
    known.set(name, look);
  }
  return look;
}

const lookedAt = (picture: Picture, blurPx: number, paint: Look["paint"]): Picture => ({
  ...picture,
  bounds: blurPx > 0 ? growToPixels(picture.bounds, blurPx * 3) : picture.bounds,
  ...(blurPx > 0 ? { blurPx: Math.hypot(picture.blurPx ?? 0, blurPx) } : {}),
  ...(paint.kind === "tinted" ? { tint: { color: paint.color, amount: 1 } } : {}),
  ...(paint.kind === "filled" ? { items: picture.items.map((item) => filled(item, paint.color)) } : {}),
});

/** An item with another colour in place of its fill; what is nothing but an outline has it there, and pictures stay. */
function filled(item: PictureItem, color: string): PictureItem {
  const fill: Paint = { kind: "solid", color };
  if (item.fill.kind === "image") return item;
  if (item.fill.kind !== "none") return { ...item, fill };
  return item.stroke ? { ...item, stroke: { ...item.stroke, color } } : item;
}
