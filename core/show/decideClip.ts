import { nextClip } from "../clips/clipAhead.ts";
import type { ClipDoes } from "../clips/clipCommand.ts";
import { type ClipPlay, clipFrom, clipPositionMs, hasEnded } from "../clips/clipPlay.ts";
import type { ReadyClip } from "../clips/readyClip.ts";
import { type DecideContext, type Decision, NOTHING } from "./decideContext.ts";
import { OVERDUE_MS } from "./followAndRepeat.ts";
import type { ShowState } from "./state.ts";

/** What a hand, or a trigger, does with the player of this show. What another player plays is its own: only another clip takes its place. */
export function decideClip(state: ShowState, does: ClipDoes, context: DecideContext): Decision {
  const { startAtMs, clips } = context;
  const { clip: play } = state;
  switch (does.kind) {
    case "play": {
      const ready = clips.find(({ clip }) => clip.id === does.clipId);
      const begun = ready && playOf(ready, startAtMs);
      return begun ? becomes(begun, startAtMs) : { refused: "noSuchClip" };
    }
    case "next": {
      const next = play && nextClip(clips, play.clipId);
      const begun = next && playOf(next, startAtMs);
      return begun ? becomes(begun, startAtMs) : { refused: "noNextClip" };
    }
    case "pause":
    case "goOn": {
      if (!play || play.by === "player") return { refused: "noSuchClip" };
      const isPaused = does.kind === "pause";
      if (isPaused === play.isPaused || hasEnded(play, startAtMs)) return NOTHING;
      return becomes({ ...clipFrom(play, clipPositionMs(play, startAtMs), startAtMs), isPaused }, startAtMs);
    }
    case "stop":
      return play ? becomes(null, startAtMs) : NOTHING;
  }
}

/**
 * What the clock does at the end of a clip: it is over, or the next begins, at the very time. Found too late, the next does not begin;
 * what another player plays is only over.
 */
export function decideClipEnd(
  { clip: play }: ShowState,
  clips: readonly ReadyClip[],
  nowMs: number,
): Decision {
  if (!play || play.isOver || !hasEnded(play, nowMs)) return NOTHING;
  const endedAtMs = play.isPaused ? nowMs : play.atMs + play.lengthMs - play.fromMs;
  const goesOn = play.atEnd === "next" && play.by === "here" && nowMs - endedAtMs <= OVERDUE_MS;
  const next = goesOn ? nextClip(clips, play.clipId) : undefined;
  return becomes((next && playOf(next, endedAtMs)) ?? { ...play, isOver: true }, endedAtMs);
}

/** What another player says that it plays; null: nothing. Told the same again, nothing is written down. */
export function decidePlayer({ clip: known }: ShowState, said: ClipPlay | null, startAtMs: number): Decision {
  if (said === null) return known?.by === "player" ? becomes(null, startAtMs) : NOTHING;
  const isSame =
    known?.by === "player" &&
    known.clipId === said.clipId &&
    known.title === said.title &&
    known.lengthMs === said.lengthMs &&
    known.isPaused === said.isPaused;
  const offMs = isSame ? clipPositionMs(said, startAtMs) - clipPositionMs(known, startAtMs) : 0;
  if (isSame && Math.abs(offMs) < OFF_MS) return NOTHING;
  // It stands at its end, which is known.
  const isAtEnd = clipPositionMs(said, startAtMs) > said.lengthMs - OFF_MS;
  if (known?.by === "player" && known.isOver && known.clipId === said.clipId && isAtEnd) return NOTHING;
  // A jump or a pause is the same play; the same clip from its start, once it was over, is another.
  const goesOn = known?.by === "player" && known.clipId === said.clipId && !known.isOver;
  return becomes(goesOn ? { ...said, begunAtMs: known.begunAtMs } : said, startAtMs);
}

/** A player that tells its place is believed when it is off by more. */
const OFF_MS = 200;

/** A clip as it begins; undefined: its file is not in the library any more. */
function playOf({ clip, title, media }: ReadyClip, atMs: number): ClipPlay | undefined {
  if (!media?.durationMs) return undefined;
  const { id: clipId, atEnd } = clip;
  const play = { clipId, title, media, lengthMs: media.durationMs, atEnd, by: "here" } as const;
  return { ...play, begunAtMs: atMs, atMs, fromMs: 0, isPaused: false, isOver: false };
}

const becomes = (play: ClipPlay | null, startAtMs: number): Decision => ({
  events: [{ kind: "clipSet", play, startAtMs }],
});
