import { isRunning } from "../clips/clipPlay.ts";
import { AIR_ACTION_IDS, type AirAction, type KeyMap, keysOf, layerOfAction } from "../keys/keyMap.ts";
import { isFilled } from "./layers.ts";
import type { ShowState } from "./state.ts";

/** Keys of pads that are lit: those of what is on, or stopped, or shut. Key → lit or not, for every key of a pad that the map has. */
export function padLights(
  map: KeyMap,
  state: ShowState,
  hasNext: boolean,
  atMs: number,
): ReadonlyMap<string, boolean> {
  const lights = new Map<string, boolean>();
  for (const action of AIR_ACTION_IDS)
    for (const key of keysOf(map, action))
      if (key.startsWith("pad:")) lights.set(key, isLit(action, state, hasNext, atMs));
  return lights;
}

function isLit(action: AirAction, state: ShowState, hasNext: boolean, atMs: number): boolean {
  const isShut = (picture: "black" | "standBy") =>
    Object.values(state.shutters).some((each) => each.untilMs === null && each.picture === picture);
  switch (action) {
    case "take":
    case "cut":
    case "dissolve":
      return hasNext;
    case "black":
    case "blackAtOnce":
      return isShut("black");
    case "standBy":
      return isShut("standBy");
    case "stopTriggers":
      return state.triggers.areStopped;
    case "clip":
      return state.clip !== null && isRunning(state.clip, atMs);
    default: {
      const layer = state.layers[layerOfAction(action) ?? -1];
      return layer !== undefined && isFilled(state, layer.id, atMs);
    }
  }
}
