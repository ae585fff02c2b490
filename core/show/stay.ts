import type { Moment, Slot } from "./slot.ts";
import type { ShowState } from "./state.ts";

/** When the pages that are on air leave by themselves, server time. */
export function staysEndAt({
  slots,
  overrides,
  stageNote,
}: Pick<ShowState, "slots" | "overrides" | "stageNote">): number[] {
  const own = Object.values(overrides).flatMap((byOutput) => Object.values(byOutput));
  return [...Object.values(slots), ...own, stageNote].flatMap((slot) => slot.at(-1)?.endsAtMs ?? []);
}

/** The chain with stays that ended by themselves written out as moments of their own. */
export function expandStays(slot: Slot): Moment[] {
  const expanded: Moment[] = [];
  for (const [index, moment] of slot.entries()) {
    const next = slot[index + 1];
    expanded.push(moment);
    if (moment.page && moment.endsAtMs !== null && (!next || next.startAtMs > moment.endsAtMs))
      expanded.push({
        startAtMs: moment.endsAtMs,
        sinceMs: moment.endsAtMs,
        page: null,
        how: "animated",
        endsAtMs: null,
        lastsMs: moment.lastsMs,
        effectMs: moment.effectMs,
      });
  }
  return expanded;
}
