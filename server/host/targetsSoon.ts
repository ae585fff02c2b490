import type { ReadyCue } from "../../core/rundown/readyCue.ts";
import type { Target } from "../../core/show/line.ts";
import { findNeighbour, findNext } from "../../core/show/next.ts";
import type { ShowState } from "../../core/show/state.ts";

/** What the take key would bring, and the step after it. */
export function targetsSoon(state: ShowState, cues: readonly ReadyCue[]): Target[] {
  const next = findNext(state, cues);
  const after = next && findNeighbour(next, 1, cues);
  return [next, after].filter((target): target is Target => target !== undefined);
}
