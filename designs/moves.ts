import type { Easing } from "../core/motion/easing.ts";
import type { MovingProperty, Track } from "../core/motion/track.ts";
import type { ObjectMotion } from "../core/scene/template.ts";

/** Ready-made moves as plain tracks. Times in ms. */
const SETTLE: Easing = { kind: "bezier", x1: 0.16, y1: 0.9, x2: 0.3, y2: 1 };
const AWAY: Easing = { kind: "bezier", x1: 0.6, y1: 0, x2: 0.9, y2: 0.4 };

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

/** Comes and goes by fading; changed content cross-fades. */
export function fading(durationMs: number): ObjectMotion {
  return {
    enter: [fadeIn(durationMs)],
    exit: "mirror",
    change: { in: [fadeIn(durationMs * 0.8)], out: [fadeOut(durationMs * 0.6)] },
  };
}

/** Words that rise into place; on a change the old ones lift away as the new ones come up. */
export function rising(distancePx: number, durationMs: number, delayMs = 0): ObjectMotion {
  return {
    enter: [move("offsetYPx", distancePx, 0, durationMs, delayMs), fadeIn(durationMs * 0.7, delayMs)],
    exit: [move("offsetYPx", 0, -distancePx * 0.5, durationMs * 0.5, 0, AWAY), fadeOut(durationMs * 0.45)],
    change: {
      in: [
        move("offsetYPx", distancePx, 0, durationMs * 0.8, durationMs * 0.15),
        fadeIn(durationMs * 0.55, durationMs * 0.15),
      ],
      out: [move("offsetYPx", 0, -distancePx, durationMs * 0.5, 0, AWAY), fadeOut(durationMs * 0.4)],
    },
  };
}

/** A bar that is uncovered from its left edge and covered again the same way. */
export function uncovering(durationMs: number, delayMs = 0): ObjectMotion {
  return {
    enter: [move("clipRight", 1, 0, durationMs, delayMs), fadeIn(120, delayMs)],
    exit: "mirror",
    change: { in: [fadeIn(300)], out: [fadeOut(300)] },
  };
}

/** A panel that lifts in from below its place. */
export function lifting(distancePx: number, durationMs: number): ObjectMotion {
  return {
    enter: [move("offsetYPx", distancePx, 0, durationMs), fadeIn(durationMs * 0.6)],
    exit: "mirror",
    change: { in: [fadeIn(300)], out: [fadeOut(300)] },
  };
}
