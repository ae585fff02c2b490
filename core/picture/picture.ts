/**
 * The display list: the only thing painters understand. Lengths are output pixels, y down; colours are CSS hex with
 * straight alpha. A picture has an origin of its own: whoever places it says where that lies on the output.
 */
export interface Rect {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

export interface GradientStop {
  /** 0 to 1 along the line. */
  readonly at: number;
  readonly color: string;
}

export type Paint =
  | { readonly kind: "none" }
  | { readonly kind: "solid"; readonly color: string }
  | {
      readonly kind: "linear";
      readonly x0: number;
      readonly y0: number;
      readonly x1: number;
      readonly y1: number;
      readonly stops: readonly GradientStop[];
    }
  | {
      readonly kind: "radial";
      readonly x: number;
      readonly y: number;
      readonly radius: number;
      readonly stops: readonly GradientStop[];
    }
  /** A picture file (by the hash of its bytes), drawn into `dest` and cut by the item's shape. */
  | { readonly kind: "image"; readonly file: string; readonly dest: Rect };

export interface Stroke {
  readonly color: string;
  readonly widthPx: number;
  readonly dashPx?: readonly number[];
}

/** What lets a picture through: a picture file laid over it, edges that fade out, or both. */
export interface Matte {
  readonly picture: {
    readonly paint: Extract<Paint, { kind: "image" }>;
    readonly by: "alpha" | "brightness";
    readonly isInverted: boolean;
  } | null;
  /** Over this much edges fade out, inwards; 0: they do not. */
  readonly softPx: number;
}

export interface Shadow {
  readonly color: string;
  readonly blurPx: number;
  readonly offsetXPx: number;
  readonly offsetYPx: number;
}

interface Painted {
  readonly fill: Paint;
  /** Drawn under the fill, so that letters keep their weight. */
  readonly stroke: Stroke | null;
  /** The first lies deepest. */
  readonly shadows: readonly Shadow[];
}

/** Top left, top right, bottom right, bottom left, px. */
export type CornerRadii = readonly [number, number, number, number];

export interface Point {
  readonly x: number;
  readonly y: number;
}

export type Shape =
  | { readonly kind: "rectangle"; readonly rect: Rect; readonly radiiPx: CornerRadii }
  | { readonly kind: "ellipse"; readonly rect: Rect }
  | { readonly kind: "line"; readonly from: Point; readonly to: Point }
  | { readonly kind: "polygon"; readonly points: readonly Point[] }
  /** SVG path data in output pixels. */
  | { readonly kind: "path"; readonly data: string };

/** Letters of one font at one size. */
export interface Glyphs {
  readonly kind: "glyphs";
  readonly fontId: string;
  readonly sizePx: number;
  /** Narrowed to this; 1 is as designed. */
  readonly scaleX: number;
  /** Baseline origin of each glyph. */
  readonly glyphs: readonly { readonly id: number; readonly x: number; readonly y: number }[];
}

export type PictureItem = Painted & (Shape | Glyphs);

/** What one plate shows. Bounds are whole pixels and hold everything, shadows included. */
export interface Picture {
  readonly bounds: Rect;
  readonly items: readonly PictureItem[];
  /** Nothing outside is painted. */
  readonly clip?: Rect;
  /** Standard deviation of a blur over the whole. */
  readonly blurPx?: number;
  readonly matte?: Matte;
  /** Every colour moved towards this one, by `amount` 0 to 1. */
  readonly tint?: { readonly color: string; readonly amount: number };
}

/** The smallest whole-pixel rectangle around `rect` grown by `byPx` on each side. */
export function growToPixels(rect: Rect, byPx: number): Rect {
  const x = Math.floor(rect.x - byPx);
  const y = Math.floor(rect.y - byPx);
  return {
    x,
    y,
    width: Math.ceil(rect.x + rect.width + byPx) - x,
    height: Math.ceil(rect.y + rect.height + byPx) - y,
  };
}

/** How far shadows reach past what casts them: canvas blur is two standard deviations; three hold all that shows. */
export function shadowReachPx(shadows: readonly Shadow[]): number {
  return shadows.reduce(
    (reach, shadow) =>
      Math.max(reach, shadow.blurPx * 1.5 + Math.max(Math.abs(shadow.offsetXPx), Math.abs(shadow.offsetYPx))),
    0,
  );
}

/** The files a picture needs before it can be painted. */
export function filesOf({ items, matte }: Picture): string[] {
  const painted = items.flatMap(({ fill }) => (fill.kind === "image" ? [fill.file] : []));
  return matte?.picture ? [...painted, matte.picture.paint.file] : painted;
}
