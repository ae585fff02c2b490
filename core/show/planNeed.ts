import type { Anchor } from "../rundown/anchor.ts";
import type { PageContent } from "../rundown/content.ts";
import type { PlanNeed } from "../rundown/cueDoc.ts";
import type { ReadyCue } from "../rundown/readyCue.ts";
import { findStepIndex, stepsOf } from "../rundown/steps.ts";
import type { Line } from "./line.ts";

/**
 * The screen plan a step is to be seen under: what the last step at or before it asked for, else what the cue needs;
 * null when any will do. A jump into the middle of a cue so brings the plan that its words stand in.
 */
export function planNeededAt(content: PageContent, anchor: Anchor): PlanNeed | null {
  if (content.stepPlans.length === 0) return content.plan;
  const steps = stepsOf(content);
  const at = findStepIndex(content, anchor);
  let need = content.plan;
  let latest = -1;
  for (const { step, planId } of content.stepPlans) {
    const index = steps.findIndex(
      (candidate) => candidate.anchor.occurrence === step.occurrence && candidate.anchor.unit >= step.unit,
    );
    if (index < 0 || index > at || index < latest) continue;
    latest = index;
    need = { id: planId, otherwise: "switch" };
  }
  return need;
}

/** The plan that the script has asked for by a place: its own, else what the cues before it left; null: none so far. */
export function planOfPlace(cues: readonly ReadyCue[], at: number, anchor: Anchor): string | null {
  const own = cues[at] && planNeededAt(cues[at].content, anchor);
  if (own) return own.id;
  for (let index = at - 1; index >= 0; index--) {
    const content = (cues[index] as ReadyCue).content;
    const last = stepsOf(content).at(-1);
    const need = last && planNeededAt(content, last.anchor);
    // A cue that only refuses another plan brings none itself.
    if (need?.otherwise === "switch") return need.id;
  }
  return null;
}

/**
 * The plan that a take needs: its own step's, or, when it moves the line to where the script has asked for another plan than where
 * the line stood, that one, also where the cue itself takes any; null: it stays as it is. Where the script has asked for none, it
 * is the plan that a hand chose last.
 */
export function planOfTake(
  { line, handPlan }: { readonly line: Line; readonly handPlan: { readonly id: string } | null },
  cues: readonly ReadyCue[],
  at: number,
  anchor: Anchor,
  movesLine: boolean,
): PlanNeed | null {
  const own = cues[at] && planNeededAt(cues[at].content, anchor);
  if (own || !movesLine) return own ?? null;
  const there = planOfPlace(cues, at, anchor);
  const from = line.at && cues.findIndex(({ cueId }) => cueId === line.at?.cueId);
  if (line.at === null || from === null || from < 0)
    return there === null ? null : { id: there, otherwise: "switch" };
  if (there === planOfPlace(cues, from, line.at.step)) return null;
  const id = there ?? handPlan?.id;
  return id === undefined ? null : { id, otherwise: "switch" };
}
