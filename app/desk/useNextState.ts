import { useMemo } from "react";
import { pagesOn } from "../../core/show/layers.ts";
import type { ShowState } from "../../core/show/state.ts";
import { stateAfterTake } from "../../core/show/stateAfterTake.ts";
import { useDesk, useDeskStore } from "./deskContext.ts";
import { usePresentTime } from "./usePresentTime.ts";

/** The show as the next take would leave it: what the pictures of "next" are drawn from. */
export function useNextState(): ShowState {
  const store = useDeskStore();
  const { state, next, ready, plans } = useDesk("state", "next", "ready", "plans");
  const presentMs = usePresentTime();
  // A stay that ends by itself changes what lies beneath the next step, without an event.
  const present = state.layers
    .flatMap(({ id }) => [...pagesOn(state, id, presentMs ?? 0).values()].map((page) => page?.cueId ?? ""))
    .join();
  // biome-ignore lint/correctness/useExhaustiveDependencies: what is present depends on the time, which is read anew
  return useMemo(() => {
    return next ? stateAfterTake(state, next, ready, store.now(), plans) : state;
  }, [state, next, ready, store, present, plans]);
}
