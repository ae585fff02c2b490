import { t } from "../../core/language/t.ts";
import { glassSize } from "../../core/venue/fitting.ts";
import { needsGpu } from "../../core/venue/pace.ts";
import { type Output, pictureSize } from "../../core/venue/plan.ts";
import type { ScreenHealth } from "../../core/wire/wire.ts";
import { formatLength } from "../ui/format.ts";

/** A window that has not been heard for this long is late. */
export const LATE_MS = 1_800;
/** A clock that cannot be known better than this shows motion early or late by frames. */
const UNSURE_CLOCK_MS = 40;

export interface HealthFacts {
  readonly word: string;
  readonly isBad: boolean;
  /** No window of it is open: nobody sees it. */
  readonly isEmpty: boolean;
  /** How long the quietest of its windows has been silent; null when all are well, or none is there. */
  readonly lateMs: number | null;
  readonly lines: readonly string[];
}

/** How a screen does, in a word and in figures. */
export function describeHealth(
  output: Output,
  health: ScreenHealth | undefined,
  nowMs: number | null,
): HealthFacts {
  const windows = health?.windows ?? [];
  if (windows.length === 0) {
    const { lastHeardAtMs = null } = health ?? {};
    const isLost = lastHeardAtMs !== null;
    const ago = isLost && nowMs !== null ? ` ${formatLength(nowMs - lastHeardAtMs)}` : "";
    return {
      word: isLost ? t`lost${ago}` : t`no window`,
      isBad: isLost,
      isEmpty: true,
      lateMs: isLost && nowMs !== null ? nowMs - lastHeardAtMs : null,
      lines: [isLost ? t`Its window is gone, or its network is.` : t`Nothing is open for it.`],
    };
  }
  const lines: string[] = [];
  const bad: string[] = [];
  if (windows.length > 1) lines.push(t`${windows.length} windows, all shown alike`);
  const silent = windows.map(({ heardAtMs }) => (nowMs === null ? 0 : nowMs - heardAtMs));
  const late = silent.filter((ms) => ms > LATE_MS);
  const lateMs = late.length > 0 ? Math.max(...late) : null;
  if (lateMs !== null)
    bad.push(
      t`late ${(lateMs / 1_000).toFixed(0)} s${late.length < windows.length ? t`, ${late.length} of ${windows.length}` : ""}`,
    );
  const whole = pictureSize(output);
  const glass = glassSize(whole.widthPx, whole.heightPx, output.fitting);
  for (const { painted } of windows) {
    if (!painted) {
      lines.push(t`not painted yet`);
      continue;
    }
    if (painted.isHidden) {
      bad.push(t`asleep`);
      lines.push(t`asleep: hidden, minimised or its device sleeps`);
    }
    if (painted.sound === "refused") {
      bad.push(t`no sound`);
      lines.push(t`its browser lets no sound out until its window is clicked`);
    }
    if (painted.widthPx !== glass.widthPx || painted.heightPx !== glass.heightPx) {
      bad.push(t`other size`);
      lines.push(t`window ${painted.widthPx}×${painted.heightPx}, set ${glass.widthPx}×${glass.heightPx}`);
    }
    const isTrimmed = output.trim.brightness !== 1 || output.trim.gamma !== 1;
    if (isTrimmed && painted.hasGpu === false) lines.push(t`no graphics processor: its trim costs frames`);
    const { screenHz, perSecond, hasGpu } = painted;
    if (hasGpu === false && needsGpu(painted.widthPx * painted.heightPx))
      lines.push(t`no graphics processor: a clip in so large a picture costs frames`);
    if (!painted.isSecure) lines.push(t`plain HTTP: it cannot start without the server`);
    if (painted.frames > 0)
      lines.push(t`${Math.round(painted.frames * 2)} frames a second, ${painted.missed} missed`);
    else lines.push(t`at rest`);
    if (painted.slowestMs > 0) lines.push(t`slowest frame ${painted.slowestMs.toFixed(1)} ms`);
    const { clock } = painted;
    if (clock) {
      const sure = clock.roundTripMs / 2;
      if (sure > UNSURE_CLOCK_MS) bad.push(t`clock unsure`);
      lines.push(t`clock ${formatOffset(clock.offsetMs)}, known to ${sure.toFixed(1)} ms`);
    }
    if (hasGpu === true) lines.push(t`drawn by a graphics processor`);
    if (screenHz !== null) lines.push(t`its screen draws ${formatHz(screenHz)} frames a second`);
    if (screenHz !== null && perSecond < screenHz * 0.98)
      lines.push(t`set to ${formatHz(perSecond)} frames a second`);
  }
  return {
    word: bad[0] ?? t`live`,
    isBad: bad.length > 0,
    isEmpty: false,
    lateMs,
    lines: [...new Set(lines)],
  };
}

/** A screen of 59.94 is told from one of 60. */
const formatHz = (hz: number): string => `${Math.round(hz * 100) / 100}`;

function formatOffset(offsetMs: number): string {
  const size = Math.abs(offsetMs);
  if (size < 1_000) return t`${offsetMs < 0 ? "−" : "+"}${size.toFixed(0)} ms`;
  return `${formatLength(Math.round(size / 1_000) * 1_000)} ${offsetMs > 0 ? t`behind` : t`ahead`}`;
}
