import { sameAnchor } from "../rundown/anchor.ts";
import type { ReadyCue } from "../rundown/readyCue.ts";
import { stepsOf } from "../rundown/steps.ts";
import type { Target } from "./line.ts";

/** The last step of the rundown. */
export function lastTarget(ready: readonly ReadyCue[]): Target | undefined {
  const cue = ready.at(-1);
  const step = cue && stepsOf(cue.content).at(-1);
  return step && { cueId: cue.cueId, content: cue.hash, step: step.anchor };
}

/** The first step of the next cue, or of this one when going back from inside it. */
export function neighbourCue(from: Target, by: 1 | -1, ready: readonly ReadyCue[]): Target | undefined {
  const at = ready.findIndex(({ cueId }) => cueId === from.cueId);
  const here = ready[at];
  const firstHere = here && stepsOf(here.content)[0];
  const inside = firstHere && !sameAnchor(firstHere.anchor, from.step);
  const cue = by === -1 && inside ? here : ready[at + by];
  const step = cue && stepsOf(cue.content)[0];
  return step && { cueId: cue.cueId, content: cue.hash, step: step.anchor };
}
