import { type DecideContext, type Decision, NOTHING } from "./decideContext.ts";
import type { AirEvent } from "./events.ts";
import { isFilled, slotOn } from "./layers.ts";
import type { Shutter } from "./shutter.ts";
import { pageAt } from "./slot.ts";
import type { ShowState } from "./state.ts";

/** Layers taken off, on all outputs or on some. */
export function decideClear(
  state: ShowState,
  layerIds: readonly string[],
  outputIds: readonly string[] | null,
  why: Extract<AirEvent, { kind: "cleared" }>["why"],
  how: Extract<AirEvent, { kind: "cleared" }>["how"],
  { startAtMs }: DecideContext,
): Decision {
  const isRepeated = (id: string) => state.due.some((due) => due.kind === "repeat" && due.layerId === id);
  const isThere = (id: string) =>
    outputIds === null
      ? isFilled(state, id, startAtMs) || isRepeated(id)
      : outputIds.some((outputId) => pageAt(slotOn(state, id, outputId), startAtMs) !== null);
  const filled = layerIds.filter(isThere);
  if (filled.length === 0) return { refused: "nothingThere" };
  const only = outputIds && [...outputIds];
  return {
    events: [{ kind: "cleared", takeId: null, layerIds: filled, outputIds: only, why, how, startAtMs }],
  };
}

const isShut = (shutter: Shutter | undefined): shutter is Shutter => shutter?.untilMs === null;

/** Black, the stand-by, or the picture again. */
export function decideShut(
  state: ShowState,
  wanted: readonly string[] | null,
  picture: "black" | "standBy" | null,
  { outputIds: all, sparedIds, startAtMs }: DecideContext,
): Decision {
  const withAll = all.filter((id) => isShut(state.shutters[id]) && state.shutters[id].byAll);
  const opened = withAll.length > 0 ? withAll : all;
  const shut = all.filter((id) => !sparedIds.includes(id));
  const outputIds = (wanted ?? (picture === null ? opened : shut)).filter((id) => {
    const shutter = state.shutters[id];
    return all.includes(id) && (isShut(shutter) ? shutter.picture : null) !== picture;
  });
  if (outputIds.length === 0) return NOTHING;
  const byAll = wanted === null && picture !== null;
  return { events: [{ kind: "shut", outputIds, picture, byAll, startAtMs }] };
}
