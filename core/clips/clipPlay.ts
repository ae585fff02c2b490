import { z } from "zod";
import { nameSchema } from "../names/name.ts";
import { mediaInfoSchema } from "../scene/media.ts";
import { CLIP_ENDS } from "./clip.ts";

/** Who plays it: a window of this show, by the clock; or a player beside the mixer, which says what it does. */
export const CLIP_PLAYERS = ["here", "player"] as const;

/** The clip that plays, as it was when it was begun: what is done to the list since does not change it. */
export const clipPlaySchema = z.strictObject({
  clipId: nameSchema(60),
  /** What it is called on air. */
  title: z.string().max(400),
  /** Null: only the player has its picture. */
  media: mediaInfoSchema.nullable(),
  lengthMs: z.number().positive(),
  atEnd: z.enum(CLIP_ENDS),
  by: z.enum(CLIP_PLAYERS),
  /** When it was begun, server time: another beginning of the same clip is another play. */
  begunAtMs: z.number(),
  /** At this server time it was at this place. */
  atMs: z.number(),
  fromMs: z.number().min(0),
  isPaused: z.boolean(),
  /** It was told that it has come to its end. */
  isOver: z.boolean(),
});
export type ClipPlay = z.infer<typeof clipPlaySchema>;

/** How long a clip has run, over the ends of a loop too. */
const ranMs = ({ atMs, fromMs, isPaused }: ClipPlay, nowMs: number): number =>
  isPaused ? fromMs : fromMs + Math.max(0, nowMs - atMs);

/** Where in it a clip is, ms from its start. */
export function clipPositionMs(play: ClipPlay, nowMs: number): number {
  const ran = ranMs(play, nowMs);
  return play.atEnd === "loop" ? ran % play.lengthMs : Math.min(ran, play.lengthMs);
}

/** Whether it has come to its end. A loop has none. */
export const hasEnded = (play: ClipPlay, nowMs: number): boolean =>
  play.atEnd !== "loop" && ranMs(play, nowMs) >= play.lengthMs;

export const isRunning = (play: ClipPlay, nowMs: number): boolean => !play.isPaused && !hasEnded(play, nowMs);

/** When it will be at its end, of this round where it loops; null: it stands still. */
export function clipEndsAtMs(play: ClipPlay, nowMs: number): number | null {
  return isRunning(play, nowMs) ? nowMs + play.lengthMs - clipPositionMs(play, nowMs) : null;
}

/** Server times after the first and up to the second at which a clip comes to a place in it: one for each round of a loop. */
export function timesAtPlace(play: ClipPlay, placeMs: number, sinceMs: number, untilMs: number): number[] {
  const { atMs, fromMs, lengthMs, atEnd, isPaused } = play;
  if (isPaused || placeMs < 0 || placeMs > lengthMs) return [];
  const first = atMs + placeMs - fromMs;
  const isNow = (time: number) => time >= atMs && sinceMs < time && time <= untilMs;
  if (atEnd !== "loop") return isNow(first) ? [first] : [];
  const found: number[] = [];
  const from = Math.max(sinceMs, atMs - 1);
  // The first round that is not over by then.
  let time = first + Math.max(0, Math.ceil((from - first) / lengthMs)) * lengthMs;
  for (; time <= untilMs && found.length < MOST_ROUNDS; time += lengthMs) if (isNow(time)) found.push(time);
  return found;
}

/** Rounds of a loop that one look at the clock can find. */
const MOST_ROUNDS = 20;

/** A clip that goes on from a place. */
export const clipFrom = (play: ClipPlay, fromMs: number, atMs: number): ClipPlay => ({
  ...play,
  atMs,
  fromMs: Math.max(0, Math.min(play.lengthMs, fromMs)),
});
