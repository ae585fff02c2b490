import { sameAnchor } from "../rundown/anchor.ts";
import type { ReadyCue } from "../rundown/readyCue.ts";
import { LEAVE_ANCHOR, stepsOf, wornAt } from "../rundown/steps.ts";
import { takenTogether } from "../rundown/together.ts";
import type { ScreenPlan } from "../venue/plan.ts";
import { pagesOn } from "./layers.ts";
import { isAside, type Target } from "./line.ts";
import { planOfTake } from "./planNeed.ts";
import type { ShowState } from "./state.ts";
import { endsAtZero } from "./stayEnd.ts";

/** What a take of what is next would do, before it is pressed. */
export interface TakeForecast {
  /** What comes, and on which outputs anybody sees it. */
  readonly comes: readonly { readonly cueId: string; readonly outputIds: readonly string[] }[];
  /** Cues on air that leave. */
  readonly goes: readonly string[];
  /** The plan it brings; null: the plan stays. */
  readonly plan: ScreenPlan | null;
  /** The line stays where it is: it comes as an aside. */
  readonly isAside: boolean;
  /** It takes the words of its cue off. */
  readonly isLeaving: boolean;
  /** What follows by itself: the cue and after how long; and how long what comes stays. */
  readonly follows: { readonly cueId: string; readonly afterMs: number } | null;
  readonly staysMs: number | null;
  /** It leaves when its countdown is at zero, where that comes before its stay is over. */
  readonly leavesAtZero: boolean;
}

/**
 * @param atMs server time of the press
 * @param deskId whose press it is
 */
export function forecastTake(
  state: ShowState,
  target: Target,
  cues: readonly ReadyCue[],
  plans: readonly ScreenPlan[],
  deskId: string,
  atMs: number,
): TakeForecast | undefined {
  const at = cues.findIndex(({ cueId }) => cueId === target.cueId);
  const cue = cues[at];
  if (!cue) return undefined;
  const by = { kind: "desk", id: deskId } as const;
  const stays = !state.arm?.isJump && isAside(state.line, target, by, cues);
  const need = planOfTake(state, cues, at, target.step, !stays);
  const plan = need && need.id !== state.plan.id ? (plans.find(({ id }) => id === need.id) ?? null) : null;
  const { outputs } = plan ?? state.plan;
  const taken = takenTogether(cues, at, target.step);
  const isLeaving = sameAnchor(target.step, LEAVE_ANCHOR);
  const layerIds = taken.flatMap(({ cue: { content } }) => content.action?.clear ?? [content.layerId]);
  const there = layerIds.flatMap((id) =>
    [...pagesOn(state, id, atMs).values()].flatMap((page) => page ?? []),
  );
  const coming = new Set(taken.map(({ cue: { cueId } }) => cueId));
  const last = stepsOf(cue.content).at(-1);
  const follower = cues.slice(at + 1).find(({ doc }) => doc.start.kind !== "with");
  const isThrough = last !== undefined && sameAnchor(last.anchor, target.step);
  return {
    comes: taken
      .filter(({ cue: { content } }) => !content.action && !isLeaving)
      .map(({ cue: { cueId, content }, step }) => ({
        cueId,
        outputIds: Object.entries(outputs).flatMap(([id, planned]) =>
          planned.layerIds.includes(content.layerId) &&
          (content.only?.includes(id) ?? true) &&
          wornAt(content, planned.outfitId, step)
            ? [id]
            : [],
        ),
      })),
    goes: [...new Set(there.map(({ cueId }) => cueId))].filter((id) => isLeaving || !coming.has(id)),
    plan,
    isAside: stays,
    isLeaving,
    follows:
      isThrough && follower?.doc.start.kind === "after"
        ? { cueId: follower.cueId, afterMs: follower.doc.start.ms }
        : null,
    staysMs: isLeaving ? null : cue.content.stayMs,
    leavesAtZero: !isLeaving && endsAtZero(cue.content, atMs, state.timeZone),
  };
}
