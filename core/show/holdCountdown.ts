import { isHeldAt } from "../figures/held.ts";
import type { Layered } from "./layers.ts";
import { type Moment, pageAt, type Slot } from "./slot.ts";

/** More often than this nobody holds one countdown. */
const MOST_HELD = 40;

/** Whether the countdown of what is on a layer stands still. */
export const isHeld = (slot: Slot, atMs: number): boolean => isHeldAt(slot.at(-1)?.held ?? [], atMs);

/** Whether it can be held, or let go on: there is a page, and it is not so already. */
export const canHold = (slot: Slot, isToHold: boolean, atMs: number): boolean =>
  pageAt(slot, atMs) !== null &&
  isHeld(slot, atMs) !== isToHold &&
  (!isToHold || (slot.at(-1)?.held?.length ?? 0) < MOST_HELD);

/** A layer whose countdown stands still from now on, or goes on; a stay that was under way waits with it. */
export function holdLayer(layered: Layered, layerId: string, isToHold: boolean, atMs: number): Layered {
  const hold = (slot: Slot): Slot => {
    const last = slot.at(-1);
    return last && canHold(slot, isToHold, atMs) ? [...slot.slice(0, -1), held(last, isToHold, atMs)] : slot;
  };
  const own = layered.overrides[layerId];
  return {
    slots: { ...layered.slots, [layerId]: hold(layered.slots[layerId] ?? []) },
    overrides: own
      ? {
          ...layered.overrides,
          [layerId]: Object.fromEntries(Object.entries(own).map(([output, slot]) => [output, hold(slot)])),
        }
      : layered.overrides,
  };
}

function held(moment: Moment, isToHold: boolean, atMs: number): Moment {
  const spans = moment.held ?? [];
  if (isToHold) {
    const leftMs = moment.endsAtMs === null ? null : Math.max(0, moment.endsAtMs - atMs);
    return { ...moment, held: [...spans, { fromMs: atMs, untilMs: null }], endsAtMs: null, leftMs };
  }
  const leftMs = moment.leftMs ?? null;
  return {
    ...moment,
    held: spans.map((span) => (span.untilMs === null ? { ...span, untilMs: atMs } : span)),
    endsAtMs: leftMs === null ? null : atMs + leftMs,
    leftMs: null,
  };
}
