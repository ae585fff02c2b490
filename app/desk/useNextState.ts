import { useMemo } from "react";
import { stateAfterTake } from "../../core/screens/preview.ts";
import { pagesOn } from "../../core/show/layers.ts";
import type { ShowState } from "../../core/show/state.ts";
import { useDeskStore } from "./deskContext.ts";
import type { DeskSnapshot } from "./deskStore.ts";

/** The show as the next take would leave it: what the pictures of "next" are drawn from. */
export function useNextState({ state, next, ready, plans }: DeskSnapshot, nowMs: number | null): ShowState {
  const store = useDeskStore();
  // A stay that ends by itself changes what lies beneath the next step, without an event.
  const present = state.layers
    .flatMap(({ id }) => [...pagesOn(state, id, nowMs ?? 0).values()].map((page) => page?.cueId ?? ""))
    .join();
  // biome-ignore lint/correctness/useExhaustiveDependencies: what is present depends on the time, which is read anew
  return useMemo(() => {
    return next ? stateAfterTake(state, next, ready, store.now(), plans) : state;
  }, [state, next, ready, store, present, plans]);
}
