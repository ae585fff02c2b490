import {
  addMoment,
  EMPTY_SLOT,
  type Moment,
  type NewMoment,
  pageAt,
  type Slot,
  type SlotPage,
} from "./slot.ts";

/**
 * What lies on the layers: a slot for each, and slots of their own for outputs that a cue limited to them went to.
 */
export interface Layered {
  readonly slots: Readonly<Record<string, Slot>>;
  /** Layer → output → its own slot. */
  readonly overrides: Readonly<Record<string, Readonly<Record<string, Slot>>>>;
}

/** The slot of a layer as one output shows it. */
export function slotOn({ slots, overrides }: Layered, layerId: string, outputId: string): Slot {
  return overrides[layerId]?.[outputId] ?? slots[layerId] ?? EMPTY_SLOT;
}

/** Every slot of a layer, with the output it belongs to; null: all others. */
export function slotsOn(
  { slots, overrides }: Layered,
  layerId: string,
): readonly (readonly [string | null, Slot])[] {
  return [[null, slots[layerId] ?? EMPTY_SLOT], ...Object.entries(overrides[layerId] ?? {})];
}

/** Whether anything is on the layer at a time, on any output. */
export function isFilled(layered: Layered, layerId: string, atMs: number): boolean {
  return slotsOn(layered, layerId).some(([, slot]) => pageAt(slot, atMs) !== null);
}

/** Whether an output shows anything at a time on these layers. */
export function showsAnything(
  layered: Layered,
  outputId: string,
  layerIds: readonly string[],
  atMs: number,
): boolean {
  return layerIds.some((layerId) => pageAt(slotOn(layered, layerId, outputId), atMs) !== null);
}

/** What each slot of a layer shows at a time. */
export function pagesOn(
  layered: Layered,
  layerId: string,
  atMs: number,
): Map<string | null, SlotPage | null> {
  return new Map(slotsOn(layered, layerId).map(([outputId, slot]) => [outputId, pageAt(slot, atMs)]));
}

/** The moment that shows on a layer at a time, on an output or (null) on those without a slot of their own; null: nothing. */
export function lastMomentOn(
  layered: Layered,
  layerId: string,
  outputId: string | null,
  atMs: number,
): Moment | null {
  const slot =
    outputId === null ? (layered.slots[layerId] ?? EMPTY_SLOT) : slotOn(layered, layerId, outputId);
  return pageAt(slot, atMs) ? (slot.at(-1) ?? null) : null;
}

/**
 * Adds a moment to a layer: to chosen outputs, which get slots of their own that go on from what they showed, or to all.
 * @param momentOf the moment for one output; null: for those without a slot of their own
 */
export function addToLayer(
  layered: Layered,
  layerId: string,
  outputIds: readonly string[] | null,
  momentOf: (outputId: string | null) => NewMoment,
): Layered {
  if (outputIds === null) return addMomentTo(layered, layerId, momentOf, []);
  const chosen = (outputId: string | null) =>
    outputId !== null && outputIds.includes(outputId) ? momentOf(outputId) : undefined;
  return addMomentTo(layered, layerId, chosen, outputIds);
}

/**
 * Adds moments to the slots of a layer. A slot of its own that has become what all others have is given up.
 * @param momentOf the moment for one output, or (null) for those without a slot of their own; undefined: it stays as it is
 * @param outputIds outputs that get a slot of their own where they have none
 */
export function addMomentTo(
  { slots, overrides }: Layered,
  layerId: string,
  momentOf: (outputId: string | null) => NewMoment | undefined,
  outputIds: readonly string[],
): Layered {
  const own: Record<string, Slot> = { ...overrides[layerId] };
  const common = slots[layerId] ?? EMPTY_SLOT;
  const forAll = momentOf(null);
  const all = forAll ? addMoment(common, forAll) : common;
  for (const outputId of new Set([...Object.keys(own), ...outputIds])) {
    const moment = momentOf(outputId);
    if (moment) own[outputId] = addMoment(own[outputId] ?? common, moment);
  }
  const said = JSON.stringify(all);
  for (const [outputId, slot] of Object.entries(own)) if (JSON.stringify(slot) === said) delete own[outputId];
  const { [layerId]: _, ...others } = overrides;
  return {
    slots: all === common ? slots : { ...slots, [layerId]: all },
    overrides: Object.keys(own).length > 0 ? { ...others, [layerId]: own } : others,
  };
}
