import type { ClipPlay } from "../../core/clips/clipPlay.ts";
import type { ClipView } from "../../core/wire/followView.ts";
import { useDesk } from "../desk/deskContext.ts";

/** The list of clips, the one that plays, and the one that the key for the next would begin: none after one that was taken out of the list. */
export function useClips(): {
  readonly clips: readonly ClipView[];
  readonly play: ClipPlay | null;
  readonly next: ClipView | undefined;
} {
  const { state, follow } = useDesk("state", "follow");
  const { clip: play } = state;
  const clips = follow?.clips ?? [];
  const at = clips.findIndex(({ id }) => id === play?.clipId);
  return { clips, play, next: play && at < 0 ? undefined : clips[at + 1] };
}
