import { z } from "zod";
import { easeAt, easingSchema } from "./easing.ts";

/** What can move. Offsets and scale are relative to the part's place; clips are fractions of the part cut off that edge. */
export const MOVING_PROPERTIES = [
  "offsetXPx",
  "offsetYPx",
  "scale",
  "opacity",
  "clipLeft",
  "clipTop",
  "clipRight",
  "clipBottom",
] as const;
export type MovingProperty = (typeof MOVING_PROPERTIES)[number];

/** No motion of a part lasts longer, so older changes can be forgotten. */
export const LONGEST_MOTION_MS = 10_000;

const keyframeSchema = z.strictObject({
  atMs: z.number().min(0).max(LONGEST_MOTION_MS),
  value: z.number().min(-20_000).max(20_000),
  /** From this keyframe to the next. */
  easing: easingSchema.default("ease-out"),
});

export const trackSchema = z.strictObject({
  property: z.enum(MOVING_PROPERTIES),
  keyframes: z
    .array(keyframeSchema)
    .min(1)
    .max(64)
    .refine((keys) => keys.every((key, i) => i === 0 || key.atMs > (keys[i - 1]?.atMs ?? 0)), {
      message: "keyframes must be in order of time",
    }),
});
export type Track = z.infer<typeof trackSchema>;

/** The value of a track at a time; before the first keyframe its value, after the last its value. */
export function trackAt(track: Track, atMs: number): number {
  const { keyframes } = track;
  let before = keyframes[0] as (typeof keyframes)[number];
  for (const key of keyframes) {
    if (key.atMs > atMs) {
      if (key === before) return key.value;
      const t = easeAt(before.easing, (atMs - before.atMs) / (key.atMs - before.atMs));
      return before.value * (1 - t) + key.value * t;
    }
    before = key;
  }
  return before.value;
}

export function durationOf(tracks: readonly Track[]): number {
  return tracks.reduce((longest, { keyframes }) => Math.max(longest, keyframes.at(-1)?.atMs ?? 0), 0);
}
