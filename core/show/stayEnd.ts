import { countdownTargetMs } from "../figures/figures.ts";
import type { PageContent } from "../rundown/content.ts";

type Staying = Pick<PageContent, "stayMs" | "leavesAtZeroOf" | "values">;

/**
 * When a page that comes now leaves by itself: after its stay, or when its countdown is at zero, whichever is first; null: not by itself.
 * @param timeZone of the show, for a countdown to a time of day
 */
export function stayEndsAt(page: Staying, startAtMs: number, timeZone: string): number | null {
  const ends = [stayOver(page, startAtMs), zeroSeen(page, startAtMs, timeZone)].filter((end) => end !== null);
  return ends.length === 0 ? null : Math.round(Math.min(...ends));
}

/** Whether it is its countdown that a page that comes now leaves by. */
export function endsAtZero(page: Staying, startAtMs: number, timeZone: string): boolean {
  const zeroMs = zeroSeen(page, startAtMs, timeZone);
  return zeroMs !== null && zeroMs < (stayOver(page, startAtMs) ?? Number.POSITIVE_INFINITY);
}

const stayOver = ({ stayMs }: Staying, startAtMs: number): number | null =>
  stayMs === null ? null : startAtMs + stayMs;

/** It shows its zero before it goes; a zero long past is no reason to go. */
function zeroSeen({ leavesAtZeroOf, values }: Staying, startAtMs: number, timeZone: string): number | null {
  if (leavesAtZeroOf === "") return null;
  const to = values[leavesAtZeroOf] ?? "";
  const zeroMs = countdownTargetMs({ kind: "countdown", to, timeZone, atZero: "hold" }, startAtMs);
  return zeroMs !== undefined && zeroMs >= startAtMs ? zeroMs + ZERO_IS_SEEN_MS : null;
}

const ZERO_IS_SEEN_MS = 1_000;
