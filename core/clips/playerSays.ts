import { t } from "../language/t.ts";
import type { ClipPlay } from "./clipPlay.ts";
import type { ReadyClip } from "./readyClip.ts";

/** Addresses of the messages by which a player beside the mixer says what it does. */
export interface PlayerAddresses {
  /** Its clip: name, and length in seconds. An empty name: none. */
  readonly oscClip: string;
  /** Its place: seconds from the start, and whether it runs (1 or 0). */
  readonly oscPlace: string;
}

/** What a player has said so far. */
export interface PlayerSaid {
  readonly name: string;
  readonly lengthMs: number;
  readonly placeMs: number;
  readonly isRunning: boolean;
  /** When it was there, server time. */
  readonly atMs: number;
}

const LONGEST_MS = 86_400_000;
/** Lengths of one film differ by a few frames from player to player. */
const SAME_LENGTH_MS = 500;
type Value = string | number | boolean | null;

/**
 * What is known of a player after a message; the same object where the message is of something else, or not understood.
 * Null: it plays nothing.
 */
export function hearPlayer(
  said: PlayerSaid | null,
  address: string,
  [first, second]: readonly Value[],
  { oscClip, oscPlace }: PlayerAddresses,
  atMs: number,
): PlayerSaid | null {
  if (address === oscClip) {
    if (typeof first !== "string") return said;
    const name = first.trim().slice(0, 120);
    if (name === "") return null;
    const lengthMs = typeof second === "number" ? second * 1_000 : Number.NaN;
    if (!(lengthMs > 0 && lengthMs <= LONGEST_MS)) return said;
    if (said?.name === name && said.lengthMs === lengthMs) return said;
    return { name, lengthMs, placeMs: 0, isRunning: true, atMs };
  }
  if (address === oscPlace && said) {
    const placeMs = typeof first === "number" ? first * 1_000 : Number.NaN;
    if (!(placeMs >= 0 && placeMs <= LONGEST_MS)) return said;
    const isRunning = second === undefined ? said.isRunning : second === true || (Number(second) || 0) !== 0;
    return { ...said, placeMs: Math.min(placeMs, said.lengthMs), isRunning, atMs };
  }
  return said;
}

const stemOf = (name: string): string =>
  name
    .replace(/\.[^./]+$/, "")
    .normalize("NFC")
    .toLowerCase();

/** What it plays as a play of the list's clip of that name; a clip that the list does not have is played under its own name. */
export function playOfPlayer(
  { name, lengthMs, placeMs, isRunning, atMs }: PlayerSaid,
  clips: readonly ReadyClip[],
): ClipPlay {
  const known = clips.find(({ clip, title }) =>
    [clip.name, title].some((each) => stemOf(each) === stemOf(name)),
  );
  // A file of another length is not what it plays.
  const isSame = Math.abs((known?.media?.durationMs ?? Number.NaN) - lengthMs) < SAME_LENGTH_MS;
  return {
    clipId: known?.clip.id ?? t`player ${name}`.slice(0, 60),
    title: known?.title ?? name,
    media: isSame ? (known?.media ?? null) : null,
    lengthMs,
    atEnd: "hold",
    by: "player",
    begunAtMs: atMs - placeMs,
    atMs,
    fromMs: placeMs,
    isPaused: !isRunning,
    isOver: false,
  };
}
