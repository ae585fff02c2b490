import { isPausedAt } from "../figures/paused.ts";
import type { Layered } from "./layers.ts";
import { type Moment, pageAt, type Slot } from "./slot.ts";

/** More often than this nobody pauses one countdown. */
const MOST_PAUSES = 40;

/** Whether the countdown of what is on a layer stands still. */
export const isPaused = (slot: Slot, atMs: number): boolean => isPausedAt(slot.at(-1)?.paused ?? [], atMs);

/** Whether it can be paused, or let go on: there is a page, and it is not so already. */
export const canPause = (slot: Slot, isToPause: boolean, atMs: number): boolean =>
  pageAt(slot, atMs) !== null &&
  isPaused(slot, atMs) !== isToPause &&
  (!isToPause || (slot.at(-1)?.paused?.length ?? 0) < MOST_PAUSES);

/** A layer whose countdown stands still from now on, or goes on; a stay that was under way waits with it. */
export function pauseLayer(layered: Layered, layerId: string, isToPause: boolean, atMs: number): Layered {
  const pause = (slot: Slot): Slot => {
    const last = slot.at(-1);
    return last && canPause(slot, isToPause, atMs)
      ? [...slot.slice(0, -1), paused(last, isToPause, atMs)]
      : slot;
  };
  const own = layered.overrides[layerId];
  return {
    slots: { ...layered.slots, [layerId]: pause(layered.slots[layerId] ?? []) },
    overrides: own
      ? {
          ...layered.overrides,
          [layerId]: Object.fromEntries(Object.entries(own).map(([output, slot]) => [output, pause(slot)])),
        }
      : layered.overrides,
  };
}

function paused(moment: Moment, isToPause: boolean, atMs: number): Moment {
  const spans = moment.paused ?? [];
  if (isToPause) {
    const leftMs = moment.endsAtMs === null ? null : Math.max(0, moment.endsAtMs - atMs);
    return { ...moment, paused: [...spans, { fromMs: atMs, untilMs: null }], endsAtMs: null, leftMs };
  }
  const leftMs = moment.leftMs ?? null;
  return {
    ...moment,
    paused: spans.map((span) => (span.untilMs === null ? { ...span, untilMs: atMs } : span)),
    endsAtMs: leftMs === null ? null : atMs + leftMs,
    leftMs: null,
  };
}
