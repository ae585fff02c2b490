import type { Anchor } from "../rundown/anchor.ts";
import { sameAnchor } from "../rundown/anchor.ts";
import type { ReadyCue } from "../rundown/readyCue.ts";
import { LEAVE_ANCHOR, stepsOf } from "../rundown/steps.ts";
import type { DecideContext } from "./decideContext.ts";
import { pagesOn } from "./layers.ts";
import type { ShowState } from "./state.ts";

/**
 * What layers that change by themselves bring with a take of running words: with each song or reading, or with each section of one,
 * the next of the layer's own cues in the rundown, in turn. The first words of an evening leave what is there; a layer that is
 * empty, or has one cue alone, stays as it is.
 */
export function turnedLayers(
  state: ShowState,
  taken: ReadyCue,
  step: Anchor,
  { cues, startAtMs }: Pick<DecideContext, "cues" | "startAtMs">,
): { readonly cue: ReadyCue; readonly step: Anchor }[] {
  if (!isText(taken) || sameAnchor(step, LEAVE_ANCHOR)) return [];
  const last = lastText(state, cues);
  if (last === undefined) return [];
  const isOtherText = last !== taken.cueId;
  const isOtherSection = isOtherText || state.line.at?.step.occurrence !== step.occurrence;
  return state.layers.flatMap(({ id, turns }) => {
    if (turns === "hand" || id === taken.content.layerId) return [];
    if (turns === "song" ? !isOtherText : !isOtherSection) return [];
    const own = cues.filter(({ content, doc }) => content.layerId === id && !content.action && !doc.isOff);
    const onAir = pagesOn(state, id, startAtMs).get(null)?.cueId;
    const at = own.findIndex(({ cueId }) => cueId === onAir);
    const next = own[(at + 1) % own.length];
    const [first] = next ? stepsOf(next.content) : [];
    return onAir !== undefined && next && first && next.cueId !== onAir
      ? [{ cue: next, step: first.anchor }]
      : [];
  });
}

const isText = ({ content }: ReadyCue): boolean => content.flow !== null;

/** The song or reading that the line came to last. */
function lastText({ cueTimes, line }: ShowState, cues: readonly ReadyCue[]): string | undefined {
  const texts = cues.filter(isText);
  const here = texts.find(({ cueId }) => cueId === line.at?.cueId);
  if (here) return here.cueId;
  const begun = texts.filter(({ cueId }) => cueTimes[cueId] !== undefined);
  const timeOf = ({ cueId }: ReadyCue) => cueTimes[cueId] ?? 0;
  return begun.sort((a, b) => timeOf(b) - timeOf(a))[0]?.cueId;
}
