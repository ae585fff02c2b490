import type { AirEvent } from "../show/events.ts";

/** One time that the show was run: from its first event to its last. Times are server time, ms. */
export interface Run {
  readonly fromMs: number;
  readonly untilMs: number;
  readonly takes: number;
}

/** What of an event says where one run ends and another begins. */
export interface Mark {
  readonly atMs: number;
  readonly kind: AirEvent["kind"];
}

/** After so long without anything, what comes next is another run. */
export const RUN_GAP_MS = 3 * 60 * 60 * 1_000;

/** The runs of a show, the latest first: parted where somebody started over, and by hours in which nothing was done. Without a take there is none. */
export function runsOf(marks: Iterable<Mark>): Run[] {
  const runs: Run[] = [];
  let open: Run | undefined;
  const close = () => {
    if (open && open.takes > 0) runs.push(open);
    open = undefined;
  };
  for (const { atMs, kind } of marks) {
    if (open && (atMs - open.untilMs > RUN_GAP_MS || kind === "begunAnew")) close();
    // A show that was only opened has not begun.
    if (kind === "showOpened" || kind === "begunAnew") continue;
    const isTake = kind === "taken" || kind === "acted";
    open = {
      fromMs: open?.fromMs ?? atMs,
      untilMs: Math.max(open?.untilMs ?? atMs, atMs),
      takes: (open?.takes ?? 0) + (isTake ? 1 : 0),
    };
  }
  close();
  return runs.reverse();
}
