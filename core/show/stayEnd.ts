import { countdownTargetMs } from "../figures/figures.ts";
import type { PageContent } from "../rundown/content.ts";

/**
 * When a page that comes now leaves by itself: after its stay, or when its countdown is at zero, whichever is first; null: not by itself.
 * @param timeZone of the show, for a countdown to a time of day
 */
export function stayEndsAt(
  { stayMs, leavesAtZeroOf, values }: Pick<PageContent, "stayMs" | "leavesAtZeroOf" | "values">,
  startAtMs: number,
  timeZone: string,
): number | null {
  const ends: number[] = stayMs === null ? [] : [startAtMs + stayMs];
  if (leavesAtZeroOf !== "") {
    const to = values[leavesAtZeroOf] ?? "";
    const zeroMs = countdownTargetMs({ kind: "countdown", to, timeZone, atZero: "hold" }, startAtMs);
    // It shows its zero before it goes; a zero long past is no reason to go.
    if (zeroMs !== undefined && zeroMs >= startAtMs) ends.push(zeroMs + ZERO_IS_SEEN_MS);
  }
  return ends.length === 0 ? null : Math.round(Math.min(...ends));
}

const ZERO_IS_SEEN_MS = 1_000;
