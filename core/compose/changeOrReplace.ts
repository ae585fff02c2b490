import type { LaidOutPage, Part, PartContent } from "../scene/part.ts";
import type { Moment, Slot } from "../show/slot.ts";
import { expandStays } from "../show/stay.ts";
import type { OpenPart, PartsOfMoment } from "./openPart.ts";
import { pacedParts } from "./pace.ts";

/** A page dressed for an output: which template it wears tells whether a take is a change or a replacement. */
export interface DressedPage {
  readonly templateHash: string;
  readonly laidOut: LaidOutPage;
}

/** A stretch of moments in which the same template stays: it enters once, changes, and leaves once. */
export interface Stretch {
  readonly id: string;
  readonly templateHash: string;
  readonly moments: PartsOfMoment[];
  end: Moment | null;
}

/**
 * Whether each moment of a slot changes the page before it or takes its place: the same template changes, another
 * takes its place. A person's own choice of motion (cut, dissolve) does not decide it.
 */
export function stretchesOf(
  slot: Slot,
  slotId: string,
  dress: (page: NonNullable<Moment["page"]>, atMs: number) => DressedPage | undefined,
): Stretch[] {
  const stretches: Stretch[] = [];
  let open: Stretch | undefined;
  for (const moment of expandStays(slot)) {
    const dressed = moment.page ? dress(moment.page, moment.startAtMs) : undefined;
    const parts = dressed ? pacedParts(dressed.laidOut.parts, moment.effectMs) : [];
    if (open && dressed && dressed.templateHash === open.templateHash) {
      open.moments.push({ moment, parts });
      continue;
    }
    if (open) open.end = moment;
    open = undefined;
    if (dressed) {
      open = {
        id: `${slotId}@${moment.startAtMs}`,
        templateHash: dressed.templateHash,
        moments: [{ moment, parts }],
        end: null,
      };
      stretches.push(open);
    }
  }
  return stretches;
}

/** A part with a time window begins anew with every cue; others go on while their content is the same. */
export function staysTheSame({ part, from }: OpenPart, next: Part, moment: Moment): boolean {
  if (part.key !== next.key) return false;
  const isTimed = next.timeWindow.fromMs > 0 || next.timeWindow.untilMs !== null;
  return !isTimed || from.sinceMs === moment.sinceMs;
}

/** Strips and numbers hand over to the next of their kind without a motion of their own. */
export function sharesMotion(content: PartContent, next: PartContent | undefined): boolean {
  if (!next) return false;
  if (content.kind === "strip") return next.kind === "strip";
  return content.kind === "figures" && next.kind === "figures" && content.value.kind === next.value.kind;
}
