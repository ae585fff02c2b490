import type { FiguresValue } from "../figures/figures.ts";
import type { Finding } from "../findings/finding.ts";
import type { Track } from "../motion/track.ts";
import type { CornerRadii, Picture, Point, Rect } from "../picture/picture.ts";
import type { GaugeSpec } from "./gauge.ts";
import type { Blend } from "./kinds/group.ts";
import type { Box, Letters } from "./properties.ts";
import type { ShapeSpec } from "./shapeSpec.ts";

/** How a part moves, in output pixels. */
export interface PartMotion {
  readonly enter: readonly Track[];
  readonly exit: "mirror" | readonly Track[];
  readonly change: { readonly in: readonly Track[]; readonly out: readonly Track[] };
  readonly stay: {
    readonly periodMs: number;
    readonly delayMs: number;
    readonly tracks: readonly Track[];
  } | null;
  /** Later than its page by this: its turn among others. */
  readonly delayMs: number;
}

/** A plate's picture, drawn once for good. */
export interface Plate {
  /** Equal keys mean equal pictures: plates are cached by it. */
  readonly key: string;
  readonly picture: Picture;
}

export type ClipShape =
  | { readonly kind: "box"; readonly rect: Rect; readonly radiiPx: CornerRadii }
  | { readonly kind: "ellipse"; readonly rect: Rect }
  | { readonly kind: "polygon"; readonly points: readonly Point[] };

/** A character of a changing text, its plate and how far it carries on. */
export interface Figure {
  readonly plate: Plate;
  readonly advancePx: number;
}

export type PartContent =
  | {
      readonly kind: "plate";
      readonly plate: Plate;
      /** Corners that stay round while an edge is cut off; 0 cuts straight. */
      readonly radiiPx: CornerRadii;
      /** Where its extent begins, when less than the whole is shown. */
      readonly growsFrom: "left" | "bottom";
    }
  /** An outline that can be drawn anew while its box, corners, colour or length move; at rest it is a plate. */
  | { readonly kind: "shape"; readonly plate: Plate; readonly shape: ShapeSpec }
  /** A ring, an arc or a bar that shows how far something has come. */
  | { readonly kind: "gauge"; readonly gauge: GaugeSpec; readonly value: FiguresValue }
  /** One text in pieces that move one after another. */
  | {
      readonly kind: "cells";
      /** Its object's box, from the part's place. */
      readonly box: Rect;
      readonly cells: readonly {
        readonly plate: Plate;
        readonly x: number;
        readonly y: number;
        readonly delayMs: number;
      }[];
    }
  /** A text that the time decides, put together from plates of its characters. */
  | {
      readonly kind: "figures";
      readonly value: FiguresValue;
      readonly figures: Readonly<Record<string, Figure>>;
      readonly widthPx: number;
      readonly align: "start" | "center" | "end";
      readonly letterCase: Letters["letterCase"];
      /** Its object's box, from the part's place. */
      readonly box: Rect;
    }
  /** A strip that goes through a box, in plates side by side. */
  | {
      readonly kind: "strip";
      readonly towards: "left" | "right" | "up" | "down";
      readonly tiles: readonly { readonly plate: Plate; readonly x: number; readonly y: number }[];
      /** The box, from the part's place. */
      readonly box: Rect;
      readonly lengthPx: number;
      readonly gapPx: number;
      readonly pxPerMs: number;
      readonly passes: number | null;
      /** In one pass. */
      readonly words: number;
      /** The field its words come from. */
      readonly field: string | null;
      /** Output pixels to one of the template's canvas, in which its speed is said. */
      readonly scale: number;
    }
  | {
      readonly kind: "video";
      readonly hash: string;
      readonly file: string;
      readonly box: Rect;
      /** Where the whole frame lies; the box cuts it. */
      readonly frame: Rect;
      readonly radiiPx: CornerRadii;
      readonly durationMs: number;
      /** Something beneath it is seen through it. */
      readonly hasAlpha: boolean;
      readonly atEnd: "loop" | "hold" | "leave";
      readonly level: number;
      /** What a painter that cannot play shows. */
      readonly poster: Plate | null;
    }
  | {
      readonly kind: "sound";
      readonly hash: string;
      readonly file: string;
      readonly durationMs: number;
      readonly atEnd: "loop" | "leave";
      readonly level: number;
    }
  /** The program picture in a window; at squeeze 0 it fills the output. */
  | {
      readonly kind: "program";
      readonly box: Rect;
      readonly radiiPx: CornerRadii;
      readonly border: Plate | null;
    }
  | {
      readonly kind: "group";
      readonly parts: readonly Part[];
      readonly blend: Blend;
      readonly clip: ClipShape | null;
      /** Where tracks that cut its edges off or size it begin. */
      readonly rect: Rect;
    };

/** What tracks of blur, tint and colour bring a part to at their value 1. */
export interface Looks {
  readonly blurPx: number;
  readonly tint: string | null;
  readonly color: string | null;
}

/** What moves as one. */
export interface Part {
  /** The object, or a row or letter of it: the same id is the same thing before and after a change. */
  readonly objectId: string;
  /** Place in its template or group, from the back. */
  readonly z: number;
  /** Equal keys mean equal content: an unchanged part is not touched. */
  readonly key: string;
  /** Whole pixels. A part that changes only these glides. `extent` is how much of its width is shown, 0 to 1. */
  readonly at: { readonly x: number; readonly y: number; readonly extent: number };
  readonly opacity: number;
  readonly rotationDeg: number;
  /** What it turns and grows around, from its place. */
  readonly pivot: Point;
  readonly looks: Looks;
  readonly motion: PartMotion;
  readonly timeWindow: { readonly fromMs: number; readonly untilMs: number | null };
  readonly content: PartContent;
}

/** Size and fit of the text parts of a page, largest first: for what tells people how large words are. */
export interface TextSize {
  readonly objectId: string;
  readonly sizePx: number;
  /** The share of their width that narrowed letters have; 1 is as designed. */
  readonly condensed: number;
  readonly fits: boolean;
}

export interface LaidOutPage {
  readonly widthPx: number;
  readonly heightPx: number;
  /** From the back to the front. */
  readonly parts: readonly Part[];
  readonly texts: readonly TextSize[];
  /** What could not be drawn as it was wanted, and what was done in its place. */
  readonly findings: readonly Finding[];
  /** Object id → where it stands on the canvas of its template, for whoever makes it. Only objects that are drawn are in it. */
  readonly places: ReadonlyMap<string, Box>;
}
