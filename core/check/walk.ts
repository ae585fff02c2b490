import type { Anchor } from "../rundown/anchor.ts";
import type { PageContent } from "../rundown/content.ts";
import type { ReadyCue } from "../rundown/readyCue.ts";
import { type Step, stepsOf } from "../rundown/steps.ts";
import { takenTogether } from "../rundown/together.ts";
import { planNeededAt } from "../show/planNeed.ts";
import type { CheckedCue } from "./checkedCue.ts";
import type { EveningToCheck } from "./evening.ts";
import { countWords } from "./pageFacts.ts";
import { readingMs } from "./readingTime.ts";

/** A page as it lies on a layer. */
export interface LyingPage {
  readonly cue: CheckedCue;
  readonly anchor: Anchor;
  /** When it leaves by itself; null: it stays. */
  readonly endsAtMs: number | null;
}

/** What lies where after one press of the evening, gone through in its order. */
export interface StageMoment {
  readonly cue: CheckedCue;
  readonly step: Step;
  readonly planId: string;
  /** Since the first press, ms, when every step stays for as long as it takes to be read. */
  readonly atMs: number;
  /** By this long the step stays before another comes by itself; null: until a hand presses. */
  readonly staysMs: number | null;
  /** What comes by itself then. */
  readonly follower: CheckedCue | null;
  /** Layer → what lies there on a screen; by the id of a screen where it has its own, else under "". */
  readonly lying: ReadonlyMap<string, ReadonlyMap<string, LyingPage>>;
  /** All screens are black, or show the stand-by. */
  readonly isShut: boolean;
}

/** Without words to read, a step stays so long. */
const LEAST_STEP_MS = 4_000;
const EVERYWHERE = "";

/** What a screen shows on a layer at a moment. */
export const lyingOn = ({ lying }: StageMoment, layerId: string, outputId: string): LyingPage | undefined =>
  lying.get(layerId)?.get(outputId) ?? lying.get(layerId)?.get(EVERYWHERE);

/**
 * The evening gone through step by step, as pressing "take" from its first cue to its last would bring it, with stays, asides that
 * come by themselves, plans and actions.
 * @param wordsPerMinute how long a hand waits before the next press
 */
export function walkEvening(
  { cues, plans, planId }: Pick<EveningToCheck, "cues" | "plans" | "planId">,
  wordsPerMinute: number,
): StageMoment[] {
  const taken = cues.filter(
    (cue): cue is CheckedCue & { made: NonNullable<CheckedCue["made"]> } => cue.made !== null,
  );
  const ready: ReadyCue[] = taken.map(({ cueId, index, doc, made }) => ({ cueId, index, doc, ...made }));
  const moments: StageMoment[] = [];
  let lying = new Map<string, ReadonlyMap<string, LyingPage>>();
  let plan = planId;
  let isShut = false;
  let atMs = 0;
  let before: StageMoment | undefined;

  const put = (cue: CheckedCue, content: PageContent, anchor: Anchor, isLeaving: boolean) => {
    const { layerId, only, stayMs, leavesAtZeroOf } = content;
    if (layerId === "") return;
    const delayMs = cue.doc.delayMs;
    // A countdown is at its zero before the next press.
    const endsAtMs =
      stayMs !== null ? atMs + delayMs + stayMs : leavesAtZeroOf !== "" ? atMs + delayMs + 1 : null;
    const page: LyingPage = { cue, anchor, endsAtMs };
    const there = new Map(only ? lying.get(layerId) : []);
    for (const outputId of only ?? [EVERYWHERE])
      if (isLeaving) there.delete(outputId);
      else there.set(outputId, page);
    lying = new Map(lying).set(layerId, there);
  };
  const letGo = () => {
    for (const [layerId, there] of lying) {
      const left = [...there].filter(([, { endsAtMs }]) => endsAtMs === null || endsAtMs > atMs);
      if (left.length < there.size) lying = new Map(lying).set(layerId, new Map(left));
    }
  };

  for (const [at, cue] of taken.entries()) {
    const { content } = cue.made;
    const { start } = cue.doc;
    // It came with the one before it.
    if (start.kind === "with" && at > 0) continue;
    const follows = start.kind === "after" ? start.ms : null;
    if (before && follows !== null) {
      atMs = before.atMs + follows;
      if (moments.length > 0) moments[moments.length - 1] = { ...before, staysMs: follows, follower: cue };
    }
    for (const [index, step] of stepsOf(content).entries()) {
      letGo();
      const need = planNeededAt(content, step.anchor);
      // One that was deleted changes nothing.
      if (need?.otherwise === "switch" && plans.some(({ id }) => id === need.id)) plan = need.id;
      if (content.action) {
        for (const layerId of content.action.clear) lying = new Map(lying).set(layerId, new Map());
        if (content.action.shutter !== null) isShut = content.action.shutter !== "back";
      }
      if (index === 0)
        for (const { cue: beside } of takenTogether(ready, at, step.anchor).slice(1)) {
          const own = taken.find(({ cueId }) => cueId === beside.cueId);
          const [first] = stepsOf(beside.content);
          if (own && first) put(own, beside.content, first.anchor, false);
        }
      put(cue, content, step.anchor, step.kind === "leave");
      const words = countWords(step.words);
      const moment: StageMoment = {
        cue,
        step,
        planId: plan,
        atMs,
        staysMs: null,
        follower: null,
        lying,
        isShut,
      };
      if (step.kind !== "leave") {
        moments.push(moment);
        before = moment;
      }
      const { stayMs } = content;
      const next = taken[at + 1]?.doc.start;
      // What leaves by itself is waited for, unless something comes by itself before.
      const waits = stayMs !== null && next?.kind !== "after" ? cue.doc.delayMs + stayMs + 1 : 0;
      if (step.kind !== "leave") atMs += Math.max(LEAST_STEP_MS, readingMs(words, wordsPerMinute), waits);
      letGo();
    }
  }
  return moments;
}
