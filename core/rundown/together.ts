import { type Anchor, sameAnchor } from "./anchor.ts";
import type { ReadyCue } from "./readyCue.ts";
import { stepsOf } from "./steps.ts";

/** Cues that one press fires together. */
const MOST_TOGETHER = 24;

/** What one press brings: the step of a cue, and when it is the cue's first, those cues after it that start with it. */
export function takenTogether(
  cues: readonly ReadyCue[],
  at: number,
  step: Anchor,
): { readonly cue: ReadyCue; readonly step: Anchor }[] {
  const cue = cues[at];
  if (!cue) throw new Error(`No cue at ${at} of ${cues.length}`);
  const taken = [{ cue, step }];
  const [first] = stepsOf(cue.content);
  if (!first || !sameAnchor(first.anchor, step)) return taken;
  for (const beside of cues.slice(at + 1, at + 1 + MOST_TOGETHER)) {
    const [begins] = stepsOf(beside.content);
    if (beside.doc.start.kind !== "with" || !begins) break;
    taken.push({ cue: beside, step: begins.anchor });
  }
  return taken;
}
