import { useEffect } from "react";
import { padLights } from "../../core/show/padLights.ts";
import { useDesk, useDeskStore } from "./deskContext.ts";
import { pads } from "./pads.ts";
import { usePresentTime } from "./usePresentTime.ts";

/** Keeps the keys of this machine's pads lit as the air is. */
export function usePadLights(): void {
  const store = useDeskStore();
  const { state, next, venue } = useDesk("state", "next", "venue");
  // A page that leaves by itself puts its light out.
  const presentMs = usePresentTime();
  useEffect(() => pads.resume(), []);
  // biome-ignore lint/correctness/useExhaustiveDependencies: the time at which something left
  useEffect(() => {
    pads.light(padLights(venue.keys, state, next !== undefined, store.now()));
  }, [store, state, next, venue.keys, presentMs]);
}
