/** What held from a time on, until the next; the last holds still. Times are ms. */
export interface Span<T, C> {
  readonly value: T;
  readonly fromMs: number;
  /** What brought it. */
  readonly cause: C;
}

/** Adds what holds from a time on, unless it holds already. What is said to begin before the last began, begins with it. */
export function addSpan<T, C>(spans: Span<T, C>[], value: T, fromMs: number, cause: C): void {
  const last = spans.at(-1);
  if (last?.value === value) return;
  spans.push({ value, fromMs: last ? Math.max(fromMs, last.fromMs) : fromMs, cause });
}

/** A stretch of time with what began and ended it; an end of null: it lasts still. */
export interface Stretch<C> {
  readonly fromMs: number;
  readonly untilMs: number | null;
  readonly began: C;
  readonly ended: C | null;
}

/** The parts of a stretch in which what holds is as wanted. Parts that touch are one; those without length are none. */
export function partsOf<T, C>(
  stretch: Stretch<C>,
  spans: readonly Span<T, C>[],
  isWanted: (value: T) => boolean,
): Stretch<C>[] {
  const parts: Stretch<C>[] = [];
  const end = stretch.untilMs ?? Number.POSITIVE_INFINITY;
  let goesOn = false;
  for (const [index, { value, fromMs, cause }] of spans.entries()) {
    const next = spans[index + 1];
    const untilMs = Math.min(end, next?.fromMs ?? Number.POSITIVE_INFINITY);
    const beginsMs = Math.max(stretch.fromMs, fromMs);
    if (!isWanted(value)) {
      if (untilMs > beginsMs) goesOn = false;
      continue;
    }
    if (untilMs <= beginsMs) continue;
    const isCut = untilMs < end;
    const till = {
      untilMs: untilMs === Number.POSITIVE_INFINITY ? null : untilMs,
      ended: isCut ? (next?.cause ?? null) : stretch.ended,
    };
    const before = parts.at(-1);
    if (before && goesOn) parts[parts.length - 1] = { ...before, ...till };
    else parts.push({ ...till, fromMs: beginsMs, began: fromMs > stretch.fromMs ? cause : stretch.began });
    goesOn = true;
  }
  return parts;
}
