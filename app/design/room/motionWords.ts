import { SETTLE } from "../../../core/design/edit/moves.ts";
import { t } from "../../../core/language/t.ts";
import type { Easing } from "../../../core/motion/easing.ts";
import type { MovingProperty } from "../../../core/motion/track.ts";

/** What moves, and in what it is measured. */
export const MOVING_WORDS: Readonly<Record<MovingProperty, readonly [words: string, unit: string]>> = {
  offsetXPx: [t`sideways`, "px"],
  offsetYPx: [t`up and down`, "px"],
  scale: [t`size`, "×"],
  scaleX: [t`stretched sideways`, "×"],
  scaleY: [t`stretched upwards`, "×"],
  rotationDeg: [t`turned`, "°"],
  opacity: [t`how solid`, ""],
  clipLeft: [t`cut off, left`, ""],
  clipTop: [t`cut off, top`, ""],
  clipRight: [t`cut off, right`, ""],
  clipBottom: [t`cut off, bottom`, ""],
  blur: [t`blur`, ""],
  tint: [t`tint`, ""],
  color: [t`colour`, ""],
  width: [t`width of the box`, "×"],
  height: [t`height of the box`, "×"],
  corners: [t`corners`, "×"],
  lineDrawn: [t`line drawn`, ""],
  gradientDeg: [t`gradient turned`, "°"],
  squeeze: [t`squeezed`, ""],
};

export const EASINGS: readonly { readonly words: string; readonly easing: Easing }[] = [
  { words: t`settles`, easing: SETTLE },
  { words: t`even`, easing: "linear" },
  { words: t`starts slowly`, easing: "ease-in" },
  { words: t`ends slowly`, easing: "ease-out" },
  { words: t`slow at both ends`, easing: "ease-in-out" },
  { words: t`gentle`, easing: "ease" },
  { words: t`in four steps`, easing: { kind: "steps", count: 4, jump: "end" } },
  { words: t`springs`, easing: { kind: "spring", swings: 1.25, damping: 6 } },
];
