import { z } from "zod";
import { t } from "../language/t.ts";
import { measureSchema, type Resolved } from "../names/measure.ts";
import { easeAt, easingSchema } from "./easing.ts";

/** What anything can do. */
export const MOVES_OF_ALL = [
  "offsetXPx",
  "offsetYPx",
  "scale",
  "scaleX",
  "scaleY",
  "rotationDeg",
  "opacity",
  "clipLeft",
  "clipTop",
  "clipRight",
  "clipBottom",
] as const;
/** What else can be done to anything that is painted. */
export const PAINTED_MOVES = ["blur", "tint", "color"] as const;
/** And to what has an outline that can be drawn anew while it moves. */
export const SHAPE_MOVES = [
  ...PAINTED_MOVES,
  "width",
  "height",
  "corners",
  "lineDrawn",
  "gradientDeg",
] as const;

/**
 * What can move. Offsets are px from the part's place; scales are factors of its size, with all that is on it; width, height and
 * corners are factors of its box alone, so that corners stay round and lines keep their width; clips are fractions cut off
 * that edge; blur, tint and colour go from 0 to 1, as does squeeze; lineDrawn is how much of its outline is drawn, from its
 * beginning, 0 to 1; gradientDeg turns the gradient on.
 */
export const MOVING_PROPERTIES = [...MOVES_OF_ALL, ...SHAPE_MOVES, "squeeze"] as const;
export type MovingProperty = (typeof MOVING_PROPERTIES)[number];

/** No motion of a part lasts longer, so older changes can be forgotten. */
export const LONGEST_MOTION_MS = 10_000;

/** A track whose last keyframe comes no later than that. */
const trackUpTo = (longestMs: number) => {
  const keyframe = z.strictObject({
    atMs: measureSchema(0, longestMs),
    value: measureSchema(-20_000, 20_000),
    /** From this keyframe to the next. */
    easing: easingSchema,
  });
  return z.strictObject({
    property: z.enum(MOVING_PROPERTIES),
    keyframes: z
      .array(keyframe)
      .min(1)
      .max(64)
      .refine((keys) => keys.every((key, i) => i === 0 || isLater(key.atMs, keys[i - 1]?.atMs)), {
        message: t`keyframes must be in order of time`,
      }),
  });
};

/** What the style decides is looked at once the style is known. */
const isLater = (atMs: unknown, thanMs: unknown): boolean =>
  typeof atMs !== "number" || typeof thanMs !== "number" || atMs > thanMs;

export const trackSchema = trackUpTo(LONGEST_MOTION_MS);
/** Loops may be slow. */
export const LONGEST_LOOP_MS = 600_000;
export const loopTrackSchema = trackUpTo(LONGEST_LOOP_MS);
export type Track = Resolved<z.infer<typeof trackSchema>>;

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

/** The same tracks, later. */
export function delayTracks(tracks: readonly Track[], byMs: number): readonly Track[] {
  if (byMs === 0) return tracks;
  return tracks.map(({ property, keyframes }) => ({
    property,
    keyframes: keyframes.map((key) => ({ ...key, atMs: key.atMs + byMs })),
  }));
}

/** The same tracks on a canvas of another size: what is measured in px is scaled. */
export function scaleTracks(tracks: readonly Track[], by: number): readonly Track[] {
  if (by === 1) return tracks;
  return tracks.map((track) =>
    track.property === "offsetXPx" || track.property === "offsetYPx"
      ? { ...track, keyframes: track.keyframes.map((key) => ({ ...key, value: key.value * by })) }
      : track,
  );
}

/** The same tracks, all of their times multiplied. */
export function stretchTracks(tracks: readonly Track[], by: number): readonly Track[] {
  return tracks.map(({ property, keyframes }) => ({
    property,
    keyframes: keyframes.map((key) => ({ ...key, atMs: key.atMs * by })),
  }));
}
