import { addMoment, EMPTY_SLOT, type Moment, pageAt, type Slot, type SlotPage } from "./slot.ts";

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

/**
 * Adds a moment to a layer: to chosen outputs, which get slots of their own that go on from what they showed, or to all.
 * A slot of its own that has become what all others have is given up.
 * @param momentOf the moment for one output; null: for those without a slot of their own
 */
export function addToLayer(
  { slots, overrides }: Layered,
  layerId: string,
  outputIds: readonly string[] | null,
  momentOf: (outputId: string | null) => Omit<Moment, "sinceMs">,
): Layered {
  const own: Record<string, Slot> = { ...overrides[layerId] };
  const common = slots[layerId] ?? EMPTY_SLOT;
  const all = outputIds === null ? addMoment(common, momentOf(null)) : common;
  for (const outputId of outputIds ?? Object.keys(own))
    own[outputId] = addMoment(own[outputId] ?? common, momentOf(outputId));
  const said = JSON.stringify(all);
  for (const [outputId, slot] of Object.entries(own)) if (JSON.stringify(slot) === said) delete own[outputId];
  const { [layerId]: _, ...others } = overrides;
  return {
    slots: { ...slots, [layerId]: all },
    overrides: Object.keys(own).length > 0 ? { ...others, [layerId]: own } : others,
  };
}
