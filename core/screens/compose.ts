import type { Life, Pose } from "../motion/pose.ts";
import { lifePoseAt, movingSpans } from "../motion/pose.ts";
import type { Picture } from "../picture/picture.ts";
import type { LaidOutPage, Part } from "../scene/layOut.ts";
import { expandStays, type Moment, type Slot } from "../show/slot.ts";
import type { ShowState } from "../show/state.ts";
import type { Output } from "./plan.ts";

/** One part with one content, from its coming to its going. */
export interface Piece {
  /** Stable for the same part in the same stay on screen. */
  readonly id: string;
  readonly key: string;
  readonly picture: Picture;
  readonly life: Life;
}

/** All pieces of one output from the back to the front, for all time as far as it is decided. */
export interface Timeline {
  readonly pieces: readonly Piece[];
}

/** A plate at its place, at one instant. */
export interface Placement {
  readonly piece: Piece;
  readonly pose: Pose;
}

/** A page dressed for an output: which template it wears tells whether a take is a change or a replacement. */
export interface DressedPage {
  readonly templateHash: string;
  readonly laidOut: LaidOutPage;
}

/** The dressed page of a moment on one output; undefined where that output shows nothing of it. */
export type Dress = (
  page: NonNullable<Moment["page"]>,
  outfitId: string,
  output: Output,
) => DressedPage | undefined;

/** What an output shows and will show: a pure function of state, output and pinned contents. Per event, not per frame. */
export function composeTimeline(state: ShowState, output: Output, dress: Dress): Timeline {
  const planned = state.plan.outputs[output.id];
  if (!planned) return { pieces: [] };
  const pieces: Piece[] = [];
  for (const layer of state.layers) {
    if (!planned.layerIds.includes(layer.id)) continue;
    pieces.push(
      ...composeSlot(state.slots[layer.id] ?? [], layer.id, (page) => dress(page, planned.outfitId, output)),
    );
  }
  return { pieces };
}

/** A stretch of moments in which the same template stays: it enters once, changes, and leaves once. */
interface Stretch {
  readonly id: string;
  readonly templateHash: string;
  readonly moments: { readonly moment: Moment; readonly laidOut: LaidOutPage }[];
  end: Moment | null;
}

/** The pieces of one slot: same template → what changed changes; another → the old leaves while the new enters. */
export function composeSlot(
  slot: Slot,
  slotId: string,
  dress: (page: NonNullable<Moment["page"]>) => DressedPage | undefined,
): Piece[] {
  const stretches: Stretch[] = [];
  let open: Stretch | undefined;
  for (const moment of expandStays(slot)) {
    const dressed = moment.page ? dress(moment.page) : undefined;
    if (open && dressed && dressed.templateHash === open.templateHash) {
      open.moments.push({ moment, laidOut: dressed.laidOut });
      continue;
    }
    if (open) open.end = moment;
    open = undefined;
    if (dressed) {
      open = {
        id: `${slotId}@${moment.startAtMs}`,
        templateHash: dressed.templateHash,
        moments: [{ moment, laidOut: dressed.laidOut }],
        end: null,
      };
      stretches.push(open);
    }
  }
  return stretches.flatMap(composeStretch);
}

function composeStretch(stretch: Stretch): Piece[] {
  const zById = new Map<string, number>();
  for (const { laidOut } of stretch.moments)
    for (const part of laidOut.parts) zById.set(part.objectId, part.z);
  return [...zById].sort(([, a], [, b]) => a - b).flatMap(([objectId]) => composePart(stretch, objectId));
}

/** The contents one part goes through: a new piece wherever its picture differs from the one before. */
function composePart(stretch: Stretch, objectId: string): Piece[] {
  const pieces: Piece[] = [];
  let current: { part: Part; from: Moment; isFirst: boolean } | undefined;
  const close = (at: Moment | null, isEnd: boolean) => {
    if (!current) return;
    const { part, from, isFirst } = current;
    const { motion } = part;
    const instantIn = from.how !== "animated";
    pieces.push({
      id: `${stretch.id}/${objectId}/${from.startAtMs}`,
      key: part.key,
      picture: part.picture,
      life: {
        fromMs: from.startAtMs,
        arriving: instantIn ? [] : isFirst ? motion.enter : motion.change.in,
        until: at && {
          atMs: at.startAtMs,
          leaving:
            at.how !== "animated"
              ? { kind: "tracks", tracks: [] }
              : !isEnd
                ? { kind: "tracks", tracks: motion.change.out }
                : motion.exit === "mirror"
                  ? { kind: "mirror", tracks: motion.enter }
                  : { kind: "tracks", tracks: motion.exit },
        },
      },
    });
    current = undefined;
  };
  for (const [index, { moment, laidOut }] of stretch.moments.entries()) {
    const part = laidOut.parts.find((candidate) => candidate.objectId === objectId);
    if (current && part && part.key === current.part.key) continue;
    close(moment, false);
    if (part) current = { part, from: moment, isFirst: index === 0 };
  }
  close(stretch.end, true);
  return pieces;
}

/** The picture of one instant: what is on screen, from the back to the front. */
export function placementsAt(timeline: Timeline, atMs: number): Placement[] {
  const placements: Placement[] = [];
  for (const piece of timeline.pieces) {
    const pose = lifePoseAt(piece.life, atMs);
    if (pose) placements.push({ piece, pose });
  }
  return placements;
}

/** Until when nothing needs drawing: null when it moves now, Infinity when nothing more is decided. */
export function stillUntil(timeline: Timeline, atMs: number): number | null {
  let next = Number.POSITIVE_INFINITY;
  for (const { life } of timeline.pieces) {
    for (const [fromMs, toMs] of movingSpans(life)) {
      // One frame is always drawn at the end of a span, so that the last pose is exact.
      if (fromMs <= atMs && atMs <= toMs) return null;
      if (fromMs > atMs) next = Math.min(next, fromMs);
    }
  }
  return next;
}
