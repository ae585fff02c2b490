import { glassSize } from "../../core/screens/fitting.ts";
import type { Output } from "../../core/screens/plan.ts";
import type { ScreenHealth } from "../../core/show/wire.ts";

/** A window that has not been heard for this long is late. */
export const LATE_MS = 1_800;

export interface HealthFacts {
  readonly word: string;
  readonly isBad: boolean;
  readonly lines: readonly string[];
}

/** How a screen does, in a word and in figures. */
export function describeHealth(
  output: Output,
  health: ScreenHealth | undefined,
  nowMs: number | null,
): HealthFacts {
  const windows = health?.windows ?? [];
  if (windows.length === 0) return { word: "no window", isBad: false, lines: ["Nothing is open for it."] };
  const lines: string[] = [];
  let word = "live";
  let isBad = false;
  if (windows.length > 1) lines.push(`${windows.length} windows, all shown alike`);
  const silentMs = nowMs === null ? 0 : Math.min(...windows.map(({ heardAtMs }) => nowMs - heardAtMs));
  if (silentMs > LATE_MS) {
    word = `late ${(silentMs / 1_000).toFixed(0)} s`;
    isBad = true;
  }
  for (const { painted } of windows) {
    if (!painted) {
      lines.push("not painted yet");
      continue;
    }
    const glass = glassSize(output.widthPx, output.heightPx, output.fitting);
    if (painted.widthPx !== glass.widthPx || painted.heightPx !== glass.heightPx) {
      lines.push(`window ${painted.widthPx}×${painted.heightPx}, set ${glass.widthPx}×${glass.heightPx}`);
      if (!isBad) word = "other size";
      isBad = true;
    }
    if (painted.frames > 0)
      lines.push(`${Math.round(painted.frames * 2)} frames a second, ${painted.missed} missed`);
    else lines.push("at rest");
    if (painted.slowestMs > 0) lines.push(`slowest frame ${painted.slowestMs.toFixed(1)} ms`);
  }
  return { word, isBad, lines: [...new Set(lines)] };
}
