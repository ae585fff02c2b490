import type { Easing } from "../core/motion/easing.ts";
import type { MovingProperty, Track } from "../core/motion/track.ts";
import { type Motion, STILL } from "../core/scene/motion.ts";

/** Ready-made moves as plain tracks. Times in ms. */
const SETTLE: Easing = { kind: "bezier", x1: 0.16, y1: 0.9, x2: 0.3, y2: 1 };
const AWAY: Easing = { kind: "bezier", x1: 0.6, y1: 0, x2: 0.9, y2: 0.4 };
const SPRING: Easing = { kind: "spring", swings: 1.25, damping: 6 };

export function move(
  property: MovingProperty,
  from: number,
  to: number,
  durationMs: number,
  delayMs = 0,
  easing: Easing = SETTLE,
): Track {
  const start = { atMs: delayMs, value: from, easing };
  const end = { atMs: delayMs + durationMs, value: to, easing: "linear" as const };
  return { property, keyframes: [start, end] };
}

const fadeIn = (durationMs: number, delayMs = 0) => move("opacity", 0, 1, durationMs, delayMs, "ease-out");
const fadeOut = (durationMs: number) => move("opacity", 1, 0, durationMs, 0, "ease-in");
const crossFade = (durationMs: number): Motion["change"] => ({
  in: [fadeIn(durationMs)],
  out: [fadeOut(durationMs)],
});

/** Comes and goes by fading; changed content cross-fades. */
export const fading = (durationMs: number, delayMs = 0): Motion => ({
  ...STILL,
  enter: [fadeIn(durationMs, delayMs)],
  exit: "mirror",
  change: { in: [fadeIn(durationMs * 0.8)], out: [fadeOut(durationMs * 0.6)] },
});

/** Words that rise into place; on a change the old ones lift away as the new ones come up. */
export const rising = (distancePx: number, durationMs: number, delayMs = 0): Motion => ({
  ...STILL,
  enter: [move("offsetYPx", distancePx, 0, durationMs, delayMs), fadeIn(durationMs * 0.7, delayMs)],
  exit: [move("offsetYPx", 0, -distancePx * 0.5, durationMs * 0.5, 0, AWAY), fadeOut(durationMs * 0.45)],
  change: {
    in: [
      move("offsetYPx", distancePx, 0, durationMs * 0.8, durationMs * 0.15),
      fadeIn(durationMs * 0.55, durationMs * 0.15),
    ],
    out: [move("offsetYPx", 0, -distancePx, durationMs * 0.5, 0, AWAY), fadeOut(durationMs * 0.4)],
  },
});

type Side = "left" | "right" | "top" | "bottom";
const CLIPS = { left: "clipRight", right: "clipLeft", top: "clipBottom", bottom: "clipTop" } as const;

/** Uncovered from one side, and covered again the same way. */
export const uncovering = (durationMs: number, delayMs = 0, from: Side = "left"): Motion => ({
  ...STILL,
  enter: [move(CLIPS[from], 1, 0, durationMs, delayMs), fadeIn(120, delayMs)],
  exit: "mirror",
  change: crossFade(300),
});

/** Slides in from a side and back out to it. */
export const sliding = (from: Side, distancePx: number, durationMs: number, delayMs = 0): Motion => {
  const sign = from === "left" || from === "top" ? -1 : 1;
  const axis = from === "left" || from === "right" ? "offsetXPx" : "offsetYPx";
  return {
    ...STILL,
    enter: [move(axis, sign * distancePx, 0, durationMs, delayMs), fadeIn(durationMs * 0.6, delayMs)],
    exit: "mirror",
    change: crossFade(300),
  };
};

/** Grows into place, a little past it and back. */
export const springing = (durationMs: number, delayMs = 0): Motion => ({
  ...STILL,
  enter: [move("scale", 0.6, 1, durationMs, delayMs, SPRING), fadeIn(durationMs * 0.3, delayMs)],
  exit: [move("scale", 1, 0.92, 220, 0, AWAY), fadeOut(220)],
  change: crossFade(260),
});

/** Comes forward a little as it fades in. */
export const growing = (durationMs: number, delayMs = 0): Motion => ({
  ...STILL,
  enter: [move("scale", 0.96, 1, durationMs, delayMs), fadeIn(durationMs * 0.7, delayMs)],
  exit: "mirror",
  change: crossFade(400),
});

/** Out of a blur: for words and small shapes, since every step of it is a picture of its own. */
export const focusing = (blurPx: number, durationMs: number, delayMs = 0): Motion => ({
  ...STILL,
  blurPx,
  enter: [move("blur", 1, 0, durationMs, delayMs, "ease-out"), fadeIn(durationMs * 0.8, delayMs)],
  exit: "mirror",
  change: crossFade(400),
});

/** Members, rows, words or letters one after another. */
export const staggered = (motion: Motion, staggerMs: number): Motion => ({ ...motion, staggerMs });

/** With a loop while it is up. */
export const looping = (motion: Motion, periodMs: number, tracks: readonly Track[], delayMs = 0): Motion => ({
  ...motion,
  stay: { periodMs, delayMs, tracks: [...tracks] },
});

/** A slow breath of light. */
export const breathing = (motion: Motion, periodMs: number, low: number): Motion =>
  looping(motion, periodMs, [
    {
      property: "opacity",
      keyframes: [
        { atMs: 0, value: 1, easing: "ease-in-out" },
        { atMs: periodMs / 2, value: low, easing: "ease-in-out" },
        { atMs: periodMs, value: 1, easing: "linear" },
      ],
    },
  ]);

/** The program picture goes into its window, and back. */
export const squeezing = (durationMs: number): Motion => ({
  ...STILL,
  enter: [move("squeeze", 0, 1, durationMs, 0, "ease-in-out")],
  exit: "mirror",
});
