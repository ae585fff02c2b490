import { type ClipPlay, clipPositionMs, isRunning } from "../../core/clips/clipPlay.ts";
import { t } from "../../core/language/t.ts";
import { FRAME_RATES, formatTimecode, frameAt } from "../../core/time/timecode.ts";
import { useReading } from "../desk/deskContext.ts";
import { formatLength } from "../ui/format.ts";

/** Frames of a timecode that counts a clip. */
const RATE = FRAME_RATES["25"];
/** The end is near. */
const NEAR_END_MS = 10_000;

/** What is left of a clip, to be read from across a room; a second that has begun still counts. */
export function ClipLeft({ play, className }: { play: ClipPlay; className: string }) {
  const left = useReading((nowMs) => formatLength(play.lengthMs - clipPositionMs(play, nowMs) + 999));
  const isNear = useReading(
    (nowMs) => isRunning(play, nowMs) && play.lengthMs - clipPositionMs(play, nowMs) < NEAR_END_MS,
  );
  return (
    <span
      role="timer"
      aria-label={t`Left of the clip`}
      className={`font-mono font-bold tabular-nums ${isNear && play.atEnd !== "loop" ? "text-attention" : ""} ${className}`}
    >
      {left ?? "-:--"}
    </span>
  );
}

/** Where in it a clip is, as a timecode of 25 frames. */
export function ClipTimecode({ play }: { play: ClipPlay }) {
  const at = useReading((nowMs) => formatTimecode(frameAt(clipPositionMs(play, nowMs), RATE), RATE));
  return <span className="font-mono text-[14px] tabular-nums">{at ?? "--:--:--:--"}</span>;
}

/** How far a clip has come, as a bar. */
export function ClipBar({ play }: { play: ClipPlay }) {
  const share = useReading((nowMs) => Math.round((clipPositionMs(play, nowMs) / play.lengthMs) * 1_000) / 10);
  return (
    <span aria-hidden="true" className="block h-1 overflow-hidden rounded bg-edge">
      <span className="block h-full bg-paper" style={{ width: `${share ?? 0}%` }} />
    </span>
  );
}
