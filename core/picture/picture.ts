/**
 * The display list: the only thing painters understand. Coordinates are output pixels, origin top left, y down;
 * colours are CSS hex with straight alpha.
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
  | { readonly kind: "solid"; readonly color: string }
  | {
      readonly kind: "linear";
      readonly x0: number;
      readonly y0: number;
      readonly x1: number;
      readonly y1: number;
      readonly stops: readonly GradientStop[];
    };

export interface Stroke {
  readonly color: string;
  readonly widthPx: number;
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
  readonly shadow: Shadow | null;
}

export type PictureItem =
  | (Painted & { readonly kind: "roundedRect"; readonly rect: Rect; readonly radiusPx: number })
  | (Painted & {
      readonly kind: "glyphs";
      readonly fontId: string;
      readonly sizePx: number;
      /** Baseline origin of each glyph. */
      readonly glyphs: readonly { readonly id: number; readonly x: number; readonly y: number }[];
    });

/** What one plate shows. Bounds are whole pixels and hold everything, shadows included. */
export interface Picture {
  readonly bounds: Rect;
  readonly items: readonly PictureItem[];
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

/** How far a shadow reaches past what casts it: canvas blur is two standard deviations; three hold all that shows. */
export function shadowReachPx(shadow: Shadow | null): number {
  if (!shadow) return 0;
  return shadow.blurPx * 1.5 + Math.max(Math.abs(shadow.offsetXPx), Math.abs(shadow.offsetYPx));
}
