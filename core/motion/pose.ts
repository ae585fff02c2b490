import { easeAt } from "./easing.ts";
import { durationOf, MOVING_PROPERTIES, type MovingProperty, type Track, trackAt } from "./track.ts";

/** Where and how a part stands at one moment, relative to where it was laid out. */
export type Pose = Readonly<Record<MovingProperty, number>>;

export const REST: Pose = {
  offsetXPx: 0,
  offsetYPx: 0,
  scale: 1,
  scaleX: 1,
  scaleY: 1,
  rotationDeg: 0,
  opacity: 1,
  clipLeft: 0,
  clipTop: 0,
  clipRight: 0,
  clipBottom: 0,
  blur: 0,
  tint: 0,
  squeeze: 1,
  width: 1,
  height: 1,
  corners: 1,
  color: 0,
  lineDrawn: 1,
  gradientDeg: 0,
};

export function poseAt(tracks: readonly Track[], atMs: number): Pose {
  if (tracks.length === 0) return REST;
  const pose: Record<MovingProperty, number> = { ...REST };
  for (const track of tracks) pose[track.property] = trackAt(track, atMs);
  return pose;
}

/** A loop on top of where a part stands. */
export interface StayLoop {
  /** Server time at which its first turn begins. */
  readonly fromMs: number;
  readonly periodMs: number;
  readonly tracks: readonly Track[];
}

/**
 * How a part leaves, over `lengthMs`: along its own tracks (and stands at their end until then), or as an arrival of
 * that length played backwards, easing included: exit(t) equals enter(lengthMs − t).
 */
export interface Leaving {
  readonly kind: "tracks" | "mirror";
  readonly tracks: readonly Track[];
  readonly lengthMs: number;
}

export function leavingPoseAt({ kind, tracks, lengthMs }: Leaving, sinceMs: number): Pose {
  return poseAt(tracks, kind === "tracks" ? sinceMs : lengthMs - sinceMs);
}

/** The time on screen of one part with one content. Times are server time in ms. */
export interface Life {
  readonly fromMs: number;
  readonly arriving: readonly Track[];
  readonly stay: StayLoop | null;
  readonly until: { readonly atMs: number; readonly leaving: Leaving } | null;
}

/**
 * The pose of a part at a time, or undefined when it is not on screen.
 * A part that must leave before it has arrived, or out of the middle of its loop, leaves from where it is: what it
 * was off its place is carried along and let go over the length of the leaving motion, so that nothing jumps.
 */
export function lifePoseAt(life: Life, atMs: number): Pose | undefined {
  if (atMs < life.fromMs) return undefined;
  if (!life.until || atMs < life.until.atMs) return standingAt(life, atMs);
  const { leaving } = life.until;
  const sinceMs = atMs - life.until.atMs;
  if (sinceMs >= leaving.lengthMs) return undefined;
  const pose = leavingPoseAt(leaving, sinceMs);
  const stoodMs = life.until.atMs - life.fromMs;
  if (!life.stay && stoodMs >= durationOf(life.arriving)) return pose;
  const had = standingAt(life, life.until.atMs);
  const begins = leavingPoseAt(leaving, 0);
  const kept = 1 - easeAt("ease-in-out", sinceMs / leaving.lengthMs);
  const mixed: Record<MovingProperty, number> = { ...pose };
  for (const property of MOVING_PROPERTIES) mixed[property] += (had[property] - begins[property]) * kept;
  return mixed;
}

function standingAt({ fromMs, arriving, stay }: Life, atMs: number): Pose {
  const pose = poseAt(arriving, atMs - fromMs);
  if (!stay || atMs < stay.fromMs) return pose;
  return onTop(pose, poseAt(stay.tracks, (atMs - stay.fromMs) % stay.periodMs));
}

/** A pose within another: a member in its group, a loop on an arrival. */
export function onTop(a: Pose, b: Pose): Pose {
  return {
    offsetXPx: a.offsetXPx + b.offsetXPx,
    offsetYPx: a.offsetYPx + b.offsetYPx,
    scale: a.scale * b.scale,
    scaleX: a.scaleX * b.scaleX,
    scaleY: a.scaleY * b.scaleY,
    rotationDeg: a.rotationDeg + b.rotationDeg,
    opacity: a.opacity * b.opacity,
    clipLeft: Math.max(a.clipLeft, b.clipLeft),
    clipTop: Math.max(a.clipTop, b.clipTop),
    clipRight: Math.max(a.clipRight, b.clipRight),
    clipBottom: Math.max(a.clipBottom, b.clipBottom),
    blur: Math.max(a.blur, b.blur),
    tint: Math.max(a.tint, b.tint),
    squeeze: a.squeeze * b.squeeze,
    width: a.width * b.width,
    height: a.height * b.height,
    corners: a.corners * b.corners,
    color: Math.max(a.color, b.color),
    lineDrawn: a.lineDrawn * b.lineDrawn,
    gradientDeg: a.gradientDeg + b.gradientDeg,
  };
}

/** When a life comes and goes: [from, to] spans in ms, in order. Its loop is not among them. */
export function movingSpans(life: Life): readonly (readonly [fromMs: number, toMs: number])[] {
  const spans: (readonly [number, number])[] = [[life.fromMs, life.fromMs + durationOf(life.arriving)]];
  if (life.until) spans.push([life.until.atMs, life.until.atMs + life.until.leaving.lengthMs]);
  return spans;
}
