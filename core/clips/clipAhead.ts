import type { MediaInfo } from "../scene/media.ts";
import type { ClipPlay } from "./clipPlay.ts";
import type { ReadyClip } from "./readyClip.ts";

/** The clip after another in the list. */
export function nextClip(clips: readonly ReadyClip[], clipId: string): ReadyClip | undefined {
  const at = clips.findIndex(({ clip }) => clip.id === clipId);
  return at < 0 ? undefined : clips[at + 1];
}

/**
 * What this show's player most likely begins next: the clip after the one that it plays, or was at last; the first where it plays none.
 * @returns null: none comes, or another player plays
 */
export function clipAhead(play: ClipPlay | null, clips: readonly ReadyClip[]): MediaInfo | null {
  if (play?.by === "player") return null;
  return (play ? nextClip(clips, play.clipId) : clips[0])?.media ?? null;
}
