import { SETTLE } from "../../../core/design/edit/moves.ts";
import type { Easing } from "../../../core/motion/easing.ts";
import type { MovingProperty } from "../../../core/motion/track.ts";

/** What moves, and in what it is measured. */
export const MOVING_WORDS: Readonly<Record<MovingProperty, readonly [words: string, unit: string]>> = {
  offsetXPx: ["sideways", "px"],
  offsetYPx: ["up and down", "px"],
  scale: ["size", "×"],
  scaleX: ["stretched sideways", "×"],
  scaleY: ["stretched upwards", "×"],
  rotationDeg: ["turned", "°"],
  opacity: ["how solid", ""],
  clipLeft: ["cut off, left", ""],
  clipTop: ["cut off, top", ""],
  clipRight: ["cut off, right", ""],
  clipBottom: ["cut off, bottom", ""],
  blur: ["blur", ""],
  tint: ["tint", ""],
  color: ["colour", ""],
  width: ["width of the box", "×"],
  height: ["height of the box", "×"],
  corners: ["corners", "×"],
  lineDrawn: ["line drawn", ""],
  gradientDeg: ["gradient turned", "°"],
  squeeze: ["squeezed", ""],
};

export const EASINGS: readonly { readonly words: string; readonly easing: Easing }[] = [
  { words: "settles", easing: SETTLE },
  { words: "even", easing: "linear" },
  { words: "starts slowly", easing: "ease-in" },
  { words: "ends slowly", easing: "ease-out" },
  { words: "slow at both ends", easing: "ease-in-out" },
  { words: "gentle", easing: "ease" },
  { words: "in four steps", easing: { kind: "steps", count: 4, jump: "end" } },
  { words: "springs", easing: { kind: "spring", swings: 1.25, damping: 6 } },
];
