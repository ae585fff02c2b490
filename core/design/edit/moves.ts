import type { Easing } from "../../motion/easing.ts";
import type { MovingProperty, Track } from "../../motion/track.ts";
import type { Motion } from "../../scene/motion.ts";

/** Ways to come that need no keyframes set by hand. */
export const READY_MOVES = ["fade", "slide", "wipe", "scale", "grow", "blur"] as const;
export type ReadyMove = (typeof READY_MOVES)[number];
export const SIDES = ["left", "right", "top", "bottom"] as const;
export type Side = (typeof SIDES)[number];

export interface MoveWish {
  readonly move: ReadyMove;
  /** Where it comes from; a fade, a scale and a blur come from nowhere. */
  readonly from: Side;
  readonly durationMs: number;
  readonly delayMs: number;
  readonly easing: Easing;
}

export const SETTLE: Easing = { kind: "bezier", x1: 0.16, y1: 0.9, x2: 0.3, y2: 1 };
/** How far a slide comes from, px of the canvas. */
const SLIDE_PX = 120;
/** The clip that uncovers from a side is that of the opposite edge. */
const UNCOVERS = { left: "clipRight", right: "clipLeft", top: "clipBottom", bottom: "clipTop" } as const;

function track(
  property: MovingProperty,
  from: number,
  to: number,
  { delayMs, durationMs, easing }: MoveWish,
  share = 1,
): Track {
  return {
    property,
    keyframes: [
      { atMs: delayMs, value: from, easing },
      { atMs: delayMs + Math.max(1, Math.round(durationMs * share)), value: to, easing: "linear" },
    ],
  };
}

/** The tracks of a ready move: what comes is wholly there when they end. */
export function tracksOf(wish: MoveWish): readonly Track[] {
  const { move, from } = wish;
  const fade = track("opacity", 0, 1, { ...wish, easing: "ease-out" }, 0.6);
  switch (move) {
    case "fade":
      return [track("opacity", 0, 1, wish)];
    case "slide": {
      const sign = from === "left" || from === "top" ? -1 : 1;
      const axis = from === "left" || from === "right" ? "offsetXPx" : "offsetYPx";
      return [track(axis, sign * SLIDE_PX, 0, wish), fade];
    }
    case "wipe":
      return [track(UNCOVERS[from], 1, 0, wish)];
    case "scale":
      return [track("scale", 0.6, 1, wish), fade];
    case "grow":
      return [track(from === "left" || from === "right" ? "scaleX" : "scaleY", 0, 1, wish)];
    case "blur":
      return [track("blur", 1, 0, wish), fade];
  }
}

/** A motion that comes in a ready way, with the blur that one of them needs. */
export const withEnter = (motion: Motion, wish: MoveWish): Motion => ({
  ...motion,
  enter: [...tracksOf(wish)],
  blurPx: wish.move === "blur" && motion.blurPx === 0 ? 24 : motion.blurPx,
});

/** The ready move that tracks were made by; undefined where they were set by hand. */
export function wishOf(tracks: readonly Track[]): MoveWish | undefined {
  const [first] = tracks;
  const [start, end] = first?.keyframes ?? [];
  if (!first || !start || !end) return undefined;
  const base = { durationMs: end.atMs - start.atMs, delayMs: start.atMs, easing: start.easing };
  return READY_MOVES.flatMap((move) => SIDES.map((from): MoveWish => ({ move, from, ...base }))).find(
    (wish) => JSON.stringify(tracksOf(wish)) === JSON.stringify(tracks),
  );
}
