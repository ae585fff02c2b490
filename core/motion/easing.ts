import { z } from "zod";

/** How a value travels from one keyframe to the next. Names and curves are those of CSS Easing Functions Level 1. */
export const easingSchema = z.union([
  z.enum(["linear", "ease", "ease-in", "ease-out", "ease-in-out"]),
  z.strictObject({
    kind: z.literal("bezier"),
    x1: z.number().min(0).max(1),
    y1: z.number().min(-5).max(5),
    x2: z.number().min(0).max(1),
    y2: z.number().min(-5).max(5),
  }),
  /** Equal jumps; `jump` says whether the first or the last of them is left out, as in CSS. */
  z.strictObject({
    kind: z.literal("steps"),
    count: z.number().int().min(1).max(600),
    jump: z.enum(["start", "end"]),
  }),
  /** A damped spring that has come to rest at the end: how often it swings, and how fast that dies away. */
  z.strictObject({
    kind: z.literal("spring"),
    swings: z.number().min(0).max(8),
    damping: z.number().min(1).max(20),
  }),
]);
export type Easing = z.infer<typeof easingSchema>;

type Curve = readonly [x1: number, y1: number, x2: number, y2: number];
const NAMED: Readonly<Record<Exclude<Easing, object | "linear">, Curve>> = {
  ease: [0.25, 0.1, 0.25, 1],
  "ease-in": [0.42, 0, 1, 1],
  "ease-out": [0, 0, 0.58, 1],
  "ease-in-out": [0.42, 0, 0.58, 1],
};

/** @param progress 0 to 1; outside it is held at the ends, so easeAt(0) === 0 and easeAt(1) === 1 exactly */
export function easeAt(easing: Easing, progress: number): number {
  if (progress >= 1) return 1;
  if (progress <= 0) return 0;
  if (easing === "linear") return progress;
  if (typeof easing === "string") {
    const [x1, y1, x2, y2] = NAMED[easing];
    return bezier(y1, y2, solveForX(x1, x2, progress));
  }
  switch (easing.kind) {
    case "bezier":
      return bezier(easing.y1, easing.y2, solveForX(easing.x1, easing.x2, progress));
    case "steps": {
      const step = Math.floor(progress * easing.count) + (easing.jump === "start" ? 1 : 0);
      return Math.min(1, step / easing.count);
    }
    case "spring": {
      // Damped cosine; what is left of it at the end is spread over the whole way, so that it ends exactly at 1.
      const swing = (t: number) => Math.exp(-easing.damping * t) * Math.cos(2 * Math.PI * easing.swings * t);
      const rest = swing(1);
      return 1 - (swing(progress) - rest * progress);
    }
  }
}

/** One coordinate of a cubic Bézier from 0 to 1 with inner control values a and b. */
function bezier(a: number, b: number, t: number): number {
  const u = 1 - t;
  return 3 * u * u * t * a + 3 * u * t * t * b + t * t * t;
}

function solveForX(x1: number, x2: number, x: number): number {
  let low = 0;
  let high = 1;
  let t = x;
  for (let i = 0; i < 40; i++) {
    const error = bezier(x1, x2, t) - x;
    if (Math.abs(error) < 1e-9) return t;
    if (error > 0) high = t;
    else low = t;
    const u = 1 - t;
    const slope = 3 * u * u * x1 + 6 * u * t * (x2 - x1) + 3 * t * t * (1 - x2);
    const newton = t - error / slope;
    // Newton's step where it stays inside the bracket, halving otherwise.
    t = newton > low && newton < high ? newton : (low + high) / 2;
  }
  return t;
}
