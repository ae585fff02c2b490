import { slotOn } from "../show/layers.ts";
import type { Target } from "../show/line.ts";
import type { Moment, ShownPage, Slot } from "../show/slot.ts";
import type { ShowState } from "../show/state.ts";
import { type LiveChains, liveAt, NO_CHAINS, pageTable } from "../values/liveChain.ts";
import { type Canvas, canvasOf, type Output } from "../venue/plan.ts";
import { type DressedPage, type Stretch, stretchesOf } from "./changeOrReplace.ts";
import { composeParts } from "./composeParts.ts";
import { arrivalMs } from "./pace.ts";
import type { Piece, Timeline } from "./piece.ts";
import { withShutter } from "./shutterPieces.ts";

/** The dressed page of a moment on one output; undefined where that output shows nothing of it. */
export type Dress = (
  page: ShownPage,
  outfitId: string,
  output: Canvas,
  /** What the next take brings, where that is armed: pages that say what comes next say that. */
  armed?: Target,
) => DressedPage | undefined;

/** What an output shows and will show: a pure function of state, output and pinned contents. Per event, not per frame. */
export function composeTimeline(
  state: ShowState,
  output: Output,
  dress: Dress,
  /** What fills pages from feeds, lately. */
  chains: LiveChains = NO_CHAINS,
): Timeline {
  const now = state.plan.outputs[output.id];
  const switched = state.planBefore;
  const before = switched ? switched.plan.outputs[output.id] : now;
  const canvas = canvasOf(output);
  const pieces: Piece[] = [];
  for (const layer of state.layers) {
    const outfitAt = (atMs: number) => {
      const planned = switched && atMs < switched.untilMs ? before : now;
      return planned?.layerIds.includes(layer.id) ? planned.outfitId : undefined;
    };
    const slot = slotOn(state, layer.id, output.id);
    // Another outfit, or a layer that comes or goes here, is a change like any other: it moves as templates say.
    const isChanged = switched && outfitAt(switched.untilMs - 1) !== outfitAt(switched.untilMs);
    const { filled, valuesAtMs } = withLiveMoments(slot, chains);
    const composed = composeSlot(
      isChanged ? withMomentAt(filled, switched.untilMs) : filled,
      layer.id,
      (page, atMs) => {
        const outfitId = outfitAt(atMs);
        const live = liveAt(chains.get(pageTable(page)), atMs)?.values;
        // Who reads ahead on the stage reads what is armed, if anything is.
        const armed = page === slot.at(-1)?.page ? state.arm?.target : undefined;
        return outfitId === undefined
          ? undefined
          : dress(live ? { ...page, live } : page, outfitId, canvas, armed);
      },
      valuesAtMs,
    );
    const { opacity } = layer;
    for (const piece of composed)
      pieces.push(opacity === 1 ? piece : { ...piece, opacity: piece.opacity * opacity });
  }
  // The note to the stage lies above all layers, where the outfit has a place for it.
  if (now && state.stageNote.length > 0)
    pieces.push(...composeSlot(state.stageNote, "stage-note", (page) => dress(page, now.outfitId, canvas)));
  const shutter = state.shutters[output.id];
  return { pieces: withShutter(pieces, shutter, canvas), silence: shutter ?? null };
}

/** The chain with a moment of its own at a time, which shows what was there. */
function withMomentAt(slot: Slot, atMs: number): Slot {
  const index = slot.findLastIndex(({ startAtMs }) => startAtMs < atMs);
  const there = slot[index];
  if (!there?.page || (there.endsAtMs !== null && there.endsAtMs <= atMs)) return slot;
  const { resumes: _, ...shown } = there;
  const again: Moment = { ...shown, startAtMs: atMs, how: "animated" };
  return [...slot.slice(0, index), { ...there, endsAtMs: null }, again, ...slot.slice(index + 1)];
}

/** The chain with a moment of its own at each change of what fills its pages: a change like any other, so only what changed moves. */
function withLiveMoments(
  slot: Slot,
  chains: LiveChains,
): { readonly filled: Slot; readonly valuesAtMs: ReadonlySet<number> } {
  let filled = slot;
  const valuesAtMs = new Set<number>();
  for (const [index, { page, startAtMs }] of slot.entries()) {
    const untilMs = slot[index + 1]?.startAtMs ?? Number.POSITIVE_INFINITY;
    for (const { atMs } of (page && chains.get(pageTable(page))?.slice(1)) ?? [])
      if (atMs > startAtMs && atMs < untilMs) {
        filled = withMomentAt(filled, atMs);
        valuesAtMs.add(atMs);
      }
  }
  return { filled, valuesAtMs };
}

/** The pieces of one slot: same template → what changed changes; another → the old leaves while the new enters. */
export function composeSlot(
  slot: Slot,
  slotId: string,
  dress: (page: NonNullable<Moment["page"]>, atMs: number) => DressedPage | undefined,
  /** Moments of it that are there because values came by themselves, by their times. */
  valuesAtMs: ReadonlySet<number> = new Set(),
): Piece[] {
  return stretchesOf(slot, slotId, dress).flatMap((stretch) => composeStretch(stretch, valuesAtMs));
}

function composeStretch(stretch: Stretch, valuesAtMs: ReadonlySet<number>): Piece[] {
  const last = stretch.moments.at(-1);
  return composeParts(stretch.moments, {
    id: stretch.id,
    first: stretch.moments[0]?.moment,
    end: stretch.end,
    mirrorMs: last ? arrivalMs(last.parts, ({ exit }) => exit === "mirror") : 0,
    holdMs: 0,
    window: { fromMs: 0, untilMs: null },
    paused: stretch.moments.map(({ moment: { sinceMs, paused = [] } }) => ({ sinceMs, spans: paused })),
    valuesAtMs,
    isCarried: false,
  });
}
