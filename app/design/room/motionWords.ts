import { SETTLE } from "../../../core/design/edit/moves.ts";
import { t } from "../../../core/language/t.ts";
import type { Easing } from "../../../core/motion/easing.ts";
import type { MovingProperty } from "../../../core/motion/track.ts";

/** What moves, and in what it is measured. */
export const MOVING_WORDS: Readonly<Record<MovingProperty, readonly [words: string, unit: string]>> = {
  offsetXPx: ["sideways", "px"],
  offsetYPx: [t`up and down`, "px"],
  scale: ["size", "×"],
  scaleX: [t`stretched sideways`, "×"],
  scaleY: [t`stretched upwards`, "×"],
  rotationDeg: ["turned", "°"],
  opacity: [t`how solid`, ""],
  clipLeft: [t`cut off, left`, ""],
  clipTop: [t`cut off, top`, ""],
  clipRight: [t`cut off, right`, ""],
  clipBottom: [t`cut off, bottom`, ""],
  blur: ["blur", ""],
  tint: ["tint", ""],
  color: ["colour", ""],
  width: [t`width of the box`, "×"],
  height: [t`height of the box`, "×"],
  corners: ["corners", "×"],
  lineDrawn: [t`line drawn`, ""],
  gradientDeg: [t`gradient turned`, "°"],
  squeeze: ["squeezed", ""],
};

export const EASINGS: readonly { readonly words: string; readonly easing: Easing }[] = [
  { words: "settles", easing: SETTLE },
  { words: "even", easing: "linear" },
  { words: t`starts slowly`, easing: "ease-in" },
  { words: t`ends slowly`, easing: "ease-out" },
  { words: t`slow at both ends`, easing: "ease-in-out" },
  { words: "gentle", easing: "ease" },
  { words: t`in four steps`, easing: { kind: "steps", count: 4, jump: "end" } },
  { words: "springs", easing: { kind: "spring", swings: 1.25, damping: 6 } },
];
