import type { FiguresValue } from "./figures.ts";

/** A time in which a countdown or count-up stands still, server time; null: it still does. */
export interface HeldSpan {
  readonly fromMs: number;
  readonly untilMs: number | null;
}

/** How long it has been held up to a time, ms. */
export const heldForMs = (held: readonly HeldSpan[], atMs: number): number =>
  held.reduce((sum, { fromMs, untilMs }) => sum + Math.max(0, Math.min(untilMs ?? atMs, atMs) - fromMs), 0);

/** Whether it stands still at a time. */
export const isHeldAt = (held: readonly HeldSpan[], atMs: number): boolean =>
  held.some(({ fromMs, untilMs }) => fromMs <= atMs && (untilMs === null || atMs < untilMs));

/** Clocks go on and numbers are what they are: only what counts time is held. */
const canBeHeld = ({ kind }: FiguresValue): boolean => kind === "countdown" || kind === "countUp";

/**
 * What a reading of the time says where its count was held: it reads an earlier time, and changes that much later.
 * @param read at a time, with the instant at which it will say something else
 */
export function readHeld<T extends { readonly changesAtMs: number }>(
  value: FiguresValue,
  held: readonly HeldSpan[],
  atMs: number,
  read: (atMs: number) => T,
): T {
  if (held.length === 0 || !canBeHeld(value)) return read(atMs);
  const offMs = heldForMs(held, atMs);
  const found = read(atMs - offMs);
  const now = held.find(({ fromMs, untilMs }) => fromMs <= atMs && (untilMs === null || atMs < untilMs));
  // It may be let go a little ahead of now: it is looked at again then.
  return {
    ...found,
    changesAtMs: now ? (now.untilMs ?? Number.POSITIVE_INFINITY) : found.changesAtMs + offMs,
  };
}
