import type { Anchor } from "../rundown/anchor.ts";
import type { PageContent } from "../rundown/content.ts";
import type { ReadyCue } from "../rundown/readyCue.ts";
import { findStepAfter, findStepIndex, stepsOf } from "../rundown/steps.ts";
import { findPlace, type TextPlace, textPlaceOf } from "../rundown/textPlace.ts";
import type { Line, Target } from "./line.ts";
import type { ShowState } from "./state.ts";

/** What the take key would bring: the armed step, else the one that follows the last taken; undefined at the end. */
export function findNext(
  state: Pick<ShowState, "arm" | "line">,
  cues: readonly ReadyCue[],
): Target | undefined {
  const armed = state.arm && findArmed(state.arm.target, cues);
  return armed ?? findFollowing(state.line, cues);
}

/** The armed step in the cue as it stands now; undefined when the cue or the step is gone. */
function findArmed(target: Target, cues: readonly ReadyCue[]): Target | undefined {
  const cue = cues.find(({ cueId }) => cueId === target.cueId);
  if (!cue || findStepIndex(cue.content, target.step) < 0) return undefined;
  return { ...target, content: cue.hash };
}

/** What follows the line. What has come besides meanwhile is not next again: it goes on from where that stands. */
export function findFollowing(line: Line, cues: readonly ReadyCue[]): Target | undefined {
  let following = findAfter(line.at, cues);
  const passed = new Set<string>();
  while (following && following.cueId !== line.at?.cueId && !passed.has(following.cueId)) {
    const { cueId } = following;
    const aside = line.asides.find((each) => each.cueId === cueId);
    if (!aside) return following;
    passed.add(cueId);
    following = findAfter(aside, cues);
  }
  return following;
}

function findAfter(at: Line["at"], cues: readonly ReadyCue[]): Target | undefined {
  if (!at) return firstStep(cues[0]);
  const current = cues.find(({ cueId }) => cueId === at.cueId);
  if (!current) return firstStep(cues.find(({ index }) => index >= at.cueIndex));
  const step = anchorAfter(current.content, at);
  if (step) return { cueId: current.cueId, content: current.hash, step };
  return firstStep(cues.find(({ index }) => index > current.index));
}

/** What comes after a place: after its words where they were edited since, else after its step. */
function anchorAfter(content: PageContent, { step, words }: NonNullable<Line["at"]>): Anchor | undefined {
  const place = words && isEdited(content, step, words) ? findPlace(content, words, step) : undefined;
  if (!place) return findStepAfter(content, step)?.anchor;
  if (place.next) return place.next;
  // The words are all behind: the credit, or that they leave.
  return stepsOf(content).find(({ kind }) => kind === "credit" || kind === "leave")?.anchor;
}

/** Whether the words on air and about it are others now than when they came, or divided otherwise. */
const isEdited = (content: PageContent, step: Anchor, words: TextPlace): boolean =>
  JSON.stringify(textPlaceOf(content, step)) !== JSON.stringify(words);

/** The step that a place stands in now. */
export function placeNow(content: PageContent, { step, words }: NonNullable<Line["at"]>): Anchor {
  const place = words && isEdited(content, step, words) ? findPlace(content, words, step) : undefined;
  return place?.at ?? stepsOf(content)[findStepIndex(content, step)]?.anchor ?? step;
}

function firstStep(cue: ReadyCue | undefined): Target | undefined {
  const step = cue && stepsOf(cue.content)[0];
  return step && { cueId: cue.cueId, content: cue.hash, step: step.anchor };
}

/** The step before or after another in the whole rundown, for moving the arm; undefined past either end. */
export function findNeighbour(target: Target, by: 1 | -1, cues: readonly ReadyCue[]): Target | undefined {
  const at = cues.findIndex(({ cueId }) => cueId === target.cueId);
  const cue = cues[at];
  if (!cue) return undefined;
  const steps = stepsOf(cue.content);
  const step = steps[findStepIndex(cue.content, target.step) + by];
  if (step) return { cueId: cue.cueId, content: cue.hash, step: step.anchor };
  const other = cues[at + by];
  const edge = other && (by === 1 ? stepsOf(other.content)[0] : stepsOf(other.content).at(-1));
  return edge && { cueId: other.cueId, content: other.hash, step: edge.anchor };
}
