import type { Easing } from "../../motion/easing.ts";
import { REST } from "../../motion/pose.ts";
import {
  LONGEST_LOOP_MS,
  LONGEST_MOTION_MS,
  type MovingProperty,
  type Track,
  trackAt,
} from "../../motion/track.ts";
import type { Motion } from "../../scene/motion.ts";

/** Of an object's life on a page: how it comes, what it does while it is up, how its content changes, how it goes. */
export const BANDS = ["enter", "stay", "changeIn", "changeOut", "exit"] as const;
export type Band = (typeof BANDS)[number];

export type Keyframe = Track["keyframes"][number];

/** Keyframes of one track stand no nearer to one another than this, ms. */
const LEAST_APART_MS = 1;
/** How long what is new takes, ms. */
const USUAL_MS = 400;
const USUAL_LOOP_MS = 4_000;

/** What moves in a band; an exit that is the arrival backwards has no tracks of its own. */
export function tracksIn({ enter, exit, change, stay }: Motion, band: Band): readonly Track[] {
  switch (band) {
    case "enter":
      return enter;
    case "stay":
      return stay?.tracks ?? [];
    case "changeIn":
      return change.in;
    case "changeOut":
      return change.out;
    case "exit":
      return exit === "mirror" ? [] : exit;
  }
}

/** A motion with what moves in a band set anew. A loop that nothing moves in is none. */
export function withTracks(motion: Motion, band: Band, tracks: readonly Track[]): Motion {
  const set = [...tracks];
  switch (band) {
    case "enter":
      return { ...motion, enter: set };
    case "stay":
      return {
        ...motion,
        stay: set.length === 0 ? null : { periodMs: USUAL_LOOP_MS, delayMs: 0, ...motion.stay, tracks: set },
      };
    case "changeIn":
      return { ...motion, change: { ...motion.change, in: set } };
    case "changeOut":
      return { ...motion, change: { ...motion.change, out: set } };
    case "exit":
      return { ...motion, exit: set };
  }
}

/** The last time at which something can stand in a band, ms. */
export const longestIn = (motion: Motion, band: Band): number =>
  band === "stay" ? Math.min(LONGEST_LOOP_MS, motion.stay?.periodMs ?? USUAL_LOOP_MS) : LONGEST_MOTION_MS;

/** Where it comes from, or goes to, when it is first set to move. */
const AWAY: Readonly<Record<MovingProperty, number>> = {
  ...{ offsetXPx: -120, offsetYPx: 60, scale: 0.6, scaleX: 0, scaleY: 0, rotationDeg: -15, opacity: 0 },
  ...{ clipLeft: 1, clipTop: 1, clipRight: 1, clipBottom: 1, blur: 1, tint: 1, color: 1 },
  ...{ width: 0, height: 0, corners: 0, lineDrawn: 0, gradientDeg: -90, squeeze: 0 },
};

/** A track of a property for a band: from away to rest where something comes, to away where it goes, there and back in a loop. */
export function newTrack(property: MovingProperty, band: Band, periodMs = USUAL_LOOP_MS): Track {
  const [rest, away] = [REST[property], AWAY[property]];
  const key = (atMs: number, value: number): Keyframe => ({ atMs, value, easing: "ease-in-out" });
  if (band === "stay")
    return { property, keyframes: [key(0, rest), key(Math.round(periodMs / 2), away), key(periodMs, rest)] };
  const isComing = band === "enter" || band === "changeIn";
  return {
    property,
    keyframes: isComing ? [key(0, away), key(USUAL_MS, rest)] : [key(0, rest), key(USUAL_MS, away)],
  };
}

const withKeys = (
  tracks: readonly Track[],
  at: number,
  change: (keyframes: readonly Keyframe[]) => readonly Keyframe[],
): readonly Track[] =>
  tracks.flatMap((track, i) => {
    if (i !== at) return [track];
    const keyframes = [...change(track.keyframes)];
    // A track without keyframes is none.
    return keyframes.length > 0 ? [{ ...track, keyframes }] : [];
  });

/** A keyframe set otherwise. In time it stays between those beside it. */
export function setKeyframe(
  tracks: readonly Track[],
  track: number,
  index: number,
  to: Partial<Keyframe>,
  longestMs: number = LONGEST_MOTION_MS,
): readonly Track[] {
  return withKeys(tracks, track, (keys) => {
    const key = keys[index];
    if (!key) return keys;
    const least = index === 0 ? 0 : (keys[index - 1] as Keyframe).atMs + LEAST_APART_MS;
    const next = keys[index + 1];
    const most = next ? next.atMs - LEAST_APART_MS : longestMs;
    const wanted = to.atMs ?? key.atMs;
    return keys.with(index, { ...key, ...to, atMs: Math.min(most, Math.max(least, Math.round(wanted))) });
  });
}

/** One more keyframe at a time, with the value that the track has there; none where there is one already. */
export function addKeyframe(tracks: readonly Track[], track: number, atMs: number): readonly Track[] {
  const at = Math.max(0, Math.round(atMs));
  return withKeys(tracks, track, (keys) => {
    if (keys.some((key) => Math.abs(key.atMs - at) < LEAST_APART_MS)) return keys;
    const value = Math.round(trackAt({ ...(tracks[track] as Track) }, at) * 1_000) / 1_000;
    const before = keys.findLast((key) => key.atMs < at);
    const made: Keyframe = { atMs: at, value, easing: before?.easing ?? keys[0]?.easing ?? "linear" };
    return [...keys, made].sort((a, b) => a.atMs - b.atMs);
  });
}

export const removeKeyframe = (tracks: readonly Track[], track: number, index: number): readonly Track[] =>
  withKeys(tracks, track, (keys) => keys.toSpliced(index, 1));

/** All of them earlier or later together; not before the beginning, and not past the longest. */
export function shiftTracks(
  tracks: readonly Track[],
  byMs: number,
  longestMs: number = LONGEST_MOTION_MS,
): readonly Track[] {
  const span = spanOf(tracks);
  if (!span) return tracks;
  const by = Math.min(longestMs - span.untilMs, Math.max(-span.fromMs, Math.round(byMs)));
  if (by === 0) return tracks;
  return tracks.map((track) => ({
    ...track,
    keyframes: track.keyframes.map((key) => ({ ...key, atMs: key.atMs + by })),
  }));
}

/** From the first keyframe of tracks to the last; undefined where nothing moves. */
export function spanOf(
  tracks: readonly Track[],
): { readonly fromMs: number; readonly untilMs: number } | undefined {
  const times = tracks.flatMap(({ keyframes }) => keyframes.map(({ atMs }) => atMs));
  return times.length === 0 ? undefined : { fromMs: Math.min(...times), untilMs: Math.max(...times) };
}

/** Properties that have no track yet. */
export const stillProperties = (
  tracks: readonly Track[],
  moves: readonly MovingProperty[],
): readonly MovingProperty[] =>
  moves.filter((property) => !tracks.some((track) => track.property === property));

/**
 * Tracks backwards, easing included: what ends at the last of their keyframes begins there. A spring has no backwards of its own:
 * it becomes one that starts slowly.
 */
export function mirrorTracks(
  tracks: readonly Track[],
  lengthMs = spanOf(tracks)?.untilMs ?? 0,
): readonly Track[] {
  return tracks.map(({ property, keyframes }) => ({
    property,
    keyframes: keyframes
      .map((key, i) => ({
        atMs: lengthMs - key.atMs,
        value: key.value,
        // From this keyframe backwards runs what led to it.
        easing: mirrorEasing(keyframes[i - 1]?.easing ?? "linear"),
      }))
      .reverse(),
  }));
}

/** The curve that runs from 1 to 0 as this one does from 0 to 1 backwards: 1 − f(1 − t). */
export function mirrorEasing(easing: Easing): Easing {
  switch (easing) {
    case "linear":
    case "ease-in-out":
      return easing;
    case "ease-in":
      return "ease-out";
    case "ease-out":
      return "ease-in";
    case "ease":
      return { kind: "bezier", x1: 0.75, y1: 0, x2: 0.75, y2: 0.9 };
  }
  switch (easing.kind) {
    case "bezier":
      return {
        kind: "bezier",
        x1: 1 - easing.x2,
        y1: 1 - easing.y2,
        x2: 1 - easing.x1,
        y2: 1 - easing.y1,
      };
    case "steps":
      return { ...easing, jump: easing.jump === "start" ? "end" : "start" };
    case "spring":
      return "ease-in";
  }
}
