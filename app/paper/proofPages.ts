import type { Anchor } from "../../core/rundown/anchor.ts";
import { stepsOf, valuesAt } from "../../core/rundown/steps.ts";
import type { Output, ScreenPlan } from "../../core/venue/plan.ts";
import type { PaperCue } from "./paperCue.ts";

interface PageAtStep {
  readonly cueId: string;
  readonly content: string;
  readonly step: Anchor;
}

/** A page as one screen shows it: one picture. */
export interface ProofPage {
  readonly key: string;
  readonly page: PageAtStep;
  /** What lies over it, from the back to the front. */
  readonly also: readonly PageAtStep[];
  readonly output: Output;
  readonly outfitId: string;
  /** Of the cue in the rundown, from 0; and of the picture among those of its cue and screen. */
  readonly index: number;
  readonly at: number;
  readonly title: string;
  readonly label: string;
}

/** Every step that screens show otherwise than the step before; a slide that stands through several steps is there once. */
export function proofPages(
  cues: readonly PaperCue[],
  outputs: readonly Output[],
  plan: ScreenPlan,
): readonly ProofPage[] {
  return cues.flatMap(({ view: { cueId }, index, title, ready }) => {
    if (!ready || ready.content.action) return [];
    const { content, hash } = ready;
    const steps = stepsOf(content).filter(({ kind }) => kind !== "leave" && kind !== "blank");
    const counts = new Map<string, number>();
    return steps.flatMap(({ anchor, label }, number) =>
      outputs.flatMap((output): ProofPage[] => {
        const planned = plan.outputs[output.id];
        if (!planned?.layerIds.includes(content.layerId)) return [];
        const outfits = [planned.outfitId, ...(content.variants[planned.outfitId] ?? [])];
        if (!outfits.some((id) => valuesAt(content, id, anchor))) return [];
        const before = steps[number - 1]?.anchor;
        const shownAt = (step: Anchor) => JSON.stringify(valuesAt(content, planned.outfitId, step));
        if (before && shownAt(before) === shownAt(anchor)) return [];
        const at = counts.get(output.id) ?? 0;
        counts.set(output.id, at + 1);
        const key = `${cueId}/${anchor.occurrence}/${anchor.unit}/${output.id}`;
        const page = { cueId, content: hash, step: anchor };
        return [{ key, page, also: [], output, outfitId: planned.outfitId, index, at, title, label }];
      }),
    );
  });
}

/** What the file of a picture is called: it sorts as the evening goes. */
export const stillName = ({ index, at, title, output }: ProofPage): string =>
  `${String(index + 1).padStart(3, "0")}-${String(at + 1).padStart(2, "0")} ${title} - ${output.name}`
    .normalize("NFC")
    .replace(/[\\/:*?"<>|\p{Cc}]+/gu, " ")
    .replace(/\s+/g, " ")
    .trim()
    .slice(0, 140);
