/**
 * A strip of text on its way through a box. All lengths are px along the way it goes; `at` is how far the
 * strip's head stands from the edge where it comes in: 0 just outside, `boxPx` when it reaches the other edge.
 */
export interface StripRun {
  /** Server time at which the head of the first copy stands just outside the box. */
  readonly startMs: number;
  readonly pxPerMs: number;
  readonly boxPx: number;
  readonly lengthPx: number;
  /** Between the tail of one copy and the head of the next. */
  readonly gapPx: number;
  /** How many copies pass; null: without end. */
  readonly passes: number | null;
}

/** Where the head of the first copy stands. */
export const headAt = (run: StripRun, atMs: number): number => (atMs - run.startMs) * run.pxPerMs;

/** Copies that can be seen at a time: their numbers and where their heads stand. Those outside the box are not listed. */
export function copiesAt(run: StripRun, atMs: number): { readonly copy: number; readonly headPx: number }[] {
  const head = headAt(run, atMs);
  if (run.lengthPx <= 0 || head <= 0) return [];
  const period = run.lengthPx + run.gapPx;
  // Copy k has its head at head − k·period; it is in the box while that is above 0 and its tail has not left.
  const first = Math.max(0, Math.floor((head - run.boxPx - run.lengthPx) / period) + 1);
  const newest = Math.ceil(head / period) - 1;
  const last = run.passes === null ? newest : Math.min(newest, run.passes - 1);
  const copies = [];
  for (let copy = first; copy <= last; copy++) copies.push({ copy, headPx: head - copy * period });
  return copies;
}

/** When the tail of the last copy has left the box; Infinity for a crawl without end. */
export function endsAtMs(run: StripRun): number {
  if (run.passes === null) return Number.POSITIVE_INFINITY;
  if (run.lengthPx <= 0) return run.startMs;
  const way = run.boxPx + run.lengthPx * run.passes + run.gapPx * (run.passes - 1);
  return run.startMs + way / run.pxPerMs;
}

/** The same strip from a time on at another speed: it goes on from where it is, nothing jumps. */
export function atSpeed(run: StripRun, pxPerMs: number, atMs: number): StripRun {
  const head = headAt(run, atMs);
  return head <= 0 ? { ...run, pxPerMs } : { ...run, pxPerMs, startMs: atMs - head / pxPerMs };
}

/**
 * New text joins: copies that have begun to show go on and leave, later ones never come, and the new strip's head
 * follows the last tail by its own gap. Nothing jumps and nothing is cut.
 * @returns the old run cut short, and when the new one's head stands outside the box
 */
export function joinBehind(
  old: StripRun,
  gapPx: number,
  atMs: number,
): { readonly old: StripRun; readonly startMs: number } {
  const shown = copiesAt(old, atMs).at(-1);
  const begun = shown ? shown.copy + 1 : passedBy(old, atMs);
  const cut = { ...old, passes: begun };
  if (!shown) return { old: cut, startMs: atMs };
  const tailPx = shown.headPx - old.lengthPx;
  // Still coming in, the tail stands before the edge (below zero): the new head waits until tail and gap have passed it.
  return { old: cut, startMs: Math.max(atMs, atMs + (gapPx - tailPx) / old.pxPerMs) };
}

/** How many copies have begun to show before a time. */
function passedBy(run: StripRun, atMs: number): number {
  const head = headAt(run, atMs);
  if (head <= 0 || run.lengthPx <= 0) return 0;
  const begun = Math.ceil(head / (run.lengthPx + run.gapPx));
  return run.passes === null ? begun : Math.min(begun, run.passes);
}
