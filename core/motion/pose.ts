import { easeAt } from "./easing.ts";
import { durationOf, MOVING_PROPERTIES, type MovingProperty, type Track, trackAt } from "./track.ts";

/** Where and how a part stands at one moment, relative to where it was laid out. */
export type Pose = Readonly<Record<MovingProperty, number>>;

export const REST: Pose = {
  offsetXPx: 0,
  offsetYPx: 0,
  scale: 1,
  opacity: 1,
  clipLeft: 0,
  clipTop: 0,
  clipRight: 0,
  clipBottom: 0,
};

export function poseAt(tracks: readonly Track[], atMs: number): Pose {
  if (tracks.length === 0) return REST;
  const pose: Record<MovingProperty, number> = { ...REST };
  for (const track of tracks) pose[track.property] = trackAt(track, atMs);
  return pose;
}

/** How a part leaves: along its own tracks, or as its arrival played backwards, easing included. */
export type Leaving =
  | { readonly kind: "tracks"; readonly tracks: readonly Track[] }
  | { readonly kind: "mirror"; readonly tracks: readonly Track[] };

export function leavingDurationMs(leaving: Leaving): number {
  return durationOf(leaving.tracks);
}

export function leavingPoseAt(leaving: Leaving, sinceMs: number): Pose {
  return leaving.kind === "tracks"
    ? poseAt(leaving.tracks, sinceMs)
    : poseAt(leaving.tracks, durationOf(leaving.tracks) - sinceMs);
}

/** The time on screen of one part with one content. Times are server time in ms. */
export interface Life {
  readonly fromMs: number;
  readonly arriving: readonly Track[];
  readonly until: { readonly atMs: number; readonly leaving: Leaving } | null;
}

/**
 * The pose of a part at a time, or undefined when it is not on screen.
 * A part that must leave before it has arrived leaves from where it is: what it was short of its place is
 * carried along and let go over the length of the leaving motion, so that nothing jumps.
 */
export function lifePoseAt(life: Life, atMs: number): Pose | undefined {
  if (atMs < life.fromMs) return undefined;
  if (!life.until || atMs < life.until.atMs) return poseAt(life.arriving, atMs - life.fromMs);
  const { leaving } = life.until;
  const lengthMs = leavingDurationMs(leaving);
  const sinceMs = atMs - life.until.atMs;
  if (sinceMs >= lengthMs) return undefined;
  const pose = leavingPoseAt(leaving, sinceMs);
  const stoodMs = life.until.atMs - life.fromMs;
  if (stoodMs >= durationOf(life.arriving)) return pose;
  const had = poseAt(life.arriving, stoodMs);
  const begins = leavingPoseAt(leaving, 0);
  const kept = 1 - easeAt("ease-in-out", sinceMs / lengthMs);
  const mixed: Record<MovingProperty, number> = { ...pose };
  for (const property of MOVING_PROPERTIES) mixed[property] += (had[property] - begins[property]) * kept;
  return mixed;
}

/** When a life moves: [from, to) spans in ms, in order. */
export function movingSpans(life: Life): readonly (readonly [fromMs: number, toMs: number])[] {
  const spans: (readonly [number, number])[] = [[life.fromMs, life.fromMs + durationOf(life.arriving)]];
  if (life.until) spans.push([life.until.atMs, life.until.atMs + leavingDurationMs(life.until.leaving)]);
  return spans;
}
