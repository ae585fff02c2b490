import type { FiguresValue } from "./figures.ts";

/** A time in which a countdown or count-up stands still, server time; null: it still does. */
export interface PausedSpan {
  readonly fromMs: number;
  readonly untilMs: number | null;
}

/** How long it has been paused up to a time, ms. */
export const pausedForMs = (paused: readonly PausedSpan[], atMs: number): number =>
  paused.reduce((sum, { fromMs, untilMs }) => sum + Math.max(0, Math.min(untilMs ?? atMs, atMs) - fromMs), 0);

/** Whether it stands still at a time. */
export const isPausedAt = (paused: readonly PausedSpan[], atMs: number): boolean =>
  paused.some(({ fromMs, untilMs }) => fromMs <= atMs && (untilMs === null || atMs < untilMs));

/** Clocks go on and numbers are what they are: only what counts time is paused. */
const canBePaused = ({ kind }: FiguresValue): boolean => kind === "countdown" || kind === "countUp";

/**
 * What a reading of the time says where its count was paused: it reads an earlier time, and changes that much later.
 * @param read at a time, with the instant at which it will say something else
 */
export function readPaused<T extends { readonly changesAtMs: number }>(
  value: FiguresValue,
  paused: readonly PausedSpan[],
  atMs: number,
  read: (atMs: number) => T,
): T {
  if (paused.length === 0 || !canBePaused(value)) return read(atMs);
  const offMs = pausedForMs(paused, atMs);
  const found = read(atMs - offMs);
  const now = paused.find(({ fromMs, untilMs }) => fromMs <= atMs && (untilMs === null || atMs < untilMs));
  // It may be let go a little ahead of now: it is looked at again then.
  return {
    ...found,
    changesAtMs: now ? (now.untilMs ?? Number.POSITIVE_INFINITY) : found.changesAtMs + offMs,
  };
}
