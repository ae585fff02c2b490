import type { Pose } from "../motion/pose.ts";
import type { CornerRadii, Picture, Point, Rect } from "../picture/picture.ts";
import type { Blend } from "../scene/kinds/group.ts";
import type { ClipShape, Plate } from "../scene/part.ts";
import type { PieceContent } from "./piece.ts";

/** A colour laid over what is painted, by how much of it, 0 to 1. */
export interface Tint {
  readonly color: string;
  readonly amount: number;
}

interface Placed {
  /** Stable while the same thing stays on screen. */
  readonly id: string;
  readonly pose: Pose;
  /** What it turns and grows around, on the output. */
  readonly pivot: Point;
}

/** What is on screen at one instant: plates, and what only a window can show. */
export type Placement =
  | (Placed & {
      readonly kind: "plate";
      readonly plate: Plate;
      /** Where the picture's origin lies. */
      readonly x: number;
      readonly y: number;
      /** Corners that stay round while edges are cut off. */
      readonly radiiPx: CornerRadii;
      /** Its light is added to what is beneath it in its group: how two plates are mixed without a seam. */
      readonly isAdded: boolean;
    })
  /** A picture that is another from frame to frame: painted where it is shown. */
  | (Placed & { readonly kind: "drawn"; readonly picture: Picture; readonly x: number; readonly y: number })
  | (Placed & {
      readonly kind: "group";
      readonly children: readonly Placement[];
      readonly x: number;
      readonly y: number;
      readonly blend: Blend;
      readonly clip: ClipShape | null;
      /** Its members are laid on one another before they are laid on what is beneath. */
      readonly isIsolated: boolean;
    })
  | (Placed & {
      readonly kind: "video";
      readonly video: Extract<PieceContent, { kind: "video" }>;
      readonly x: number;
      readonly y: number;
      /** Its box as its motion has it, from its place; the frame stays. */
      readonly box: Rect;
      readonly radiiPx: CornerRadii;
      readonly blurPx: number;
      readonly tints: readonly Tint[];
      /** Where in the clip. */
      readonly positionMs: number;
      readonly isPlaying: boolean;
      /** How loud of its level: as much as is seen of it. */
      readonly gain: number;
    })
  | (Placed & {
      readonly kind: "sound";
      readonly sound: Extract<PieceContent, { kind: "sound" }>;
      readonly positionMs: number;
      readonly isPlaying: boolean;
      readonly gain: number;
    })
  | (Placed & {
      readonly kind: "program";
      /** On the output, by how far it is squeezed. */
      readonly rect: Rect;
      readonly radiiPx: CornerRadii;
      readonly blurPx: number;
      readonly tints: readonly Tint[];
    });
export type PlatePlacement = Extract<Placement, { kind: "plate" }>;
