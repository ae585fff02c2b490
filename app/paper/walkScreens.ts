import { type LyingPage, lyingOn, type StageMoment, walkEvening } from "../../core/check/walk.ts";
import type { Output, ScreenPlan } from "../../core/venue/plan.ts";
import type { PaperCue } from "./paperCue.ts";
import type { ProofPage } from "./proofPages.ts";

/** What lies on a screen at a step of the evening, from the back to the front; nothing where it is empty or shut. */
export interface ScreenAtStep {
  readonly output: Output;
  readonly outfitId: string;
  readonly pages: readonly ProofPage["page"][];
}

interface Evening {
  readonly cues: readonly PaperCue[];
  readonly plans: readonly ScreenPlan[];
  /** The plan in which the evening begins. */
  readonly planId: string;
  /** From the back to the front. */
  readonly layers: readonly { readonly id: string }[];
  readonly outputs: readonly Output[];
  readonly wordsPerMinute: number;
}

export interface WalkedStep {
  readonly moment: StageMoment;
  readonly screens: readonly ScreenAtStep[];
}

/** Every step of the evening with all screens as they are by then. */
export function walkScreens({ cues, plans, planId, layers, outputs, wordsPerMinute }: Evening): WalkedStep[] {
  return walkEvening({ cues: cues.map(asChecked), plans, planId }, wordsPerMinute).flatMap((moment) => {
    const { cue, step } = moment;
    if (step.kind === "blank" || cue.made?.content.action) return [];
    const plan = plans.find(({ id }) => id === moment.planId);
    const screens = outputs.flatMap((output): ScreenAtStep[] => {
      const outfitId = plan?.outputs[output.id]?.outfitId;
      if (!plan || outfitId === undefined) return [];
      const lying = moment.isShut
        ? []
        : layers.flatMap(({ id }) => lyingUnder(plan, moment, id, output) ?? []);
      const pages = lying.flatMap(({ cue: { cueId, made }, anchor }) =>
        made ? [{ cueId, content: made.hash, step: anchor }] : [],
      );
      return [{ output, outfitId, pages }];
    });
    return [{ moment, screens }];
  });
}

/** Each screen at every step at which it shows another picture than at the step before. */
export function wholeScreens(steps: readonly WalkedStep[]): ProofPage[] {
  const before = new Map<string, string>();
  const counts = new Map<string, number>();
  return steps.flatMap(({ moment: { cue, step }, screens }) =>
    screens.flatMap(({ output, outfitId, pages }): ProofPage[] => {
      const shown = JSON.stringify([outfitId, pages]);
      const wasShown = before.get(output.id);
      before.set(output.id, shown);
      const [page, ...also] = pages;
      if (!page || wasShown === shown) return [];
      const count = `${cue.index}/${output.id}`;
      const at = counts.get(count) ?? 0;
      counts.set(count, at + 1);
      return [
        {
          key: `${cue.cueId}/${step.anchor.occurrence}/${step.anchor.unit}/${output.id}/whole`,
          ...{ page, also, output, outfitId, at },
          ...{ index: cue.index, title: cue.title, label: step.label },
        },
      ];
    }),
  );
}

/** What lies on a layer of a screen, where the plan shows the layer there and the page has something to show on it. */
function lyingUnder(
  plan: ScreenPlan,
  moment: StageMoment,
  layerId: string,
  output: Output,
): LyingPage | undefined {
  const planned = plan.outputs[output.id];
  const lying = planned?.layerIds.includes(layerId) ? lyingOn(moment, layerId, output.id) : undefined;
  return lying?.cue.made && planned && planned.outfitId in lying.cue.made.content.wardrobe
    ? lying
    : undefined;
}

const asChecked = ({ view, index, title, ready }: PaperCue) => ({
  ...{ cueId: view.cueId, index, title, revision: view.revision, doc: view.doc, problem: null },
  made: ready ? { hash: ready.hash, content: ready.content } : null,
});
