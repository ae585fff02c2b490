import { feedsIn } from "../feeds/binding.ts";
import { stepsOf } from "../rundown/steps.ts";
import { planNeededAt } from "../show/planNeed.ts";
import type { CheckLimits } from "../venue/checkLimits.ts";
import type { Output, ScreenPlan } from "../venue/plan.ts";
import type { Check, Found } from "./check.ts";
import type { CheckedCue } from "./checkedCue.ts";
import { CHECKS } from "./checks.ts";
import type { EveningToCheck } from "./evening.ts";
import { type CheckFinding, gatherFindings } from "./gather.ts";
import type { PageOnScreen } from "./pageFacts.ts";
import { Pages } from "./pages.ts";
import { plansUsed } from "./plansUsed.ts";
import { lyingOn, type StageMoment, walkEvening } from "./walk.ts";

export interface CheckResult {
  readonly findings: readonly CheckFinding[];
  /** Steps × screens × plans that were looked at. */
  readonly looked: number;
  /** Not everything could be looked at yet: pictures, fonts or contents are on their way. */
  readonly isWaiting: boolean;
}

const PAGE_CHECKS = CHECKS.filter((check) => check.page);
const STACK_CHECKS = CHECKS.filter((check) => check.stack);
const CUE_CHECKS = CHECKS.filter((check) => check.cue);
const EVENING_CHECKS = CHECKS.filter((check) => check.evening);

/** Findings that are kept for pages and stacks seen before. */
const MOST_KEPT = 60_000;

interface Kept {
  readonly found: readonly Found[];
  /** What else than the page it follows from. */
  readonly hangsOn: string;
}

/**
 * Looks through an evening, and keeps what it has seen: after an edit only what the edit touches is looked at again. The same
 * evening gives the same findings, whatever was looked at before.
 */
export class Checker {
  readonly pages = new Pages();
  readonly #stacks = new Map<string, readonly Found[]>();
  readonly #ofPages = new WeakMap<PageOnScreen, Kept>();
  #frame = "";

  /** Everything is looked at again: fonts or pictures have come. */
  forget(): void {
    this.pages.forget();
    this.#stacks.clear();
    this.#frame = "";
  }

  /** @returns what is found; in steps, so that whoever asks can do something else between them, or give up */
  *look(evening: EveningToCheck, limits: CheckLimits): Generator<void, CheckResult> {
    this.#keepFrame(evening, limits);
    const found: Found[] = [];
    let looked = 0;
    let isWaiting = false;
    const waits = () => {
      isWaiting = true;
    };
    const watched = { ...evening, measures: watchMeasures(evening, waits) };

    for (const cue of evening.cues) {
      found.push(...this.#findInCue(cue, watched, limits));
      yield;
    }
    const used = plansUsed(evening);
    for (const cue of evening.cues) {
      if (!cue.made) continue;
      for (const plan of plansOf(cue, used)) {
        for (const output of evening.outputs) {
          const planned = plan.outputs[output.id];
          const { content } = cue.made;
          if (!planned?.layerIds.includes(content.layerId)) continue;
          if (content.only && !content.only.includes(output.id)) continue;
          for (const { anchor, kind } of stepsOf(content)) {
            if (kind === "leave" || kind === "blank") continue;
            const page = this.pages.find(watched, cue, cue.made, anchor, planned.outfitId, output);
            if (!page) {
              if (isDressed(cue, planned.outfitId)) waits();
              continue;
            }
            looked++;
            found.push(...this.#findOn(page, watched, limits));
          }
          yield;
        }
      }
    }
    const moments = walkEvening(evening, limits.wordsPerMinute);
    for (const moment of moments) {
      for (const output of evening.outputs) {
        const pages = this.#stackOn(moment, output, watched);
        if (pages.length > 0) found.push(...this.#findInStack(moment, output, pages, watched, limits));
      }
      yield;
    }
    for (const check of EVENING_CHECKS) {
      found.push(...(check.evening?.({ evening: watched, moments, limits }) ?? []));
      yield;
    }
    return { findings: gatherFindings(found, evening), looked, isWaiting };
  }

  /** Screens, layers, outfits and limits decide everywhere: with others nothing that was found before holds. */
  #keepFrame({ outputs, layers, outfits }: EveningToCheck, limits: CheckLimits): void {
    const frame = JSON.stringify([outputs, layers, outfits, limits]);
    if (frame === this.#frame) return;
    this.forget();
    this.#frame = frame;
  }

  #findInCue(cue: CheckedCue, evening: EveningToCheck, limits: CheckLimits): readonly Found[] {
    // What feeds and templates say of a cue changes without it; that is little, and looked at each time.
    return CUE_CHECKS.flatMap((check) => check.cue?.({ cue, evening, limits }) ?? []);
  }

  #findOn(page: PageOnScreen, evening: EveningToCheck, limits: CheckLimits): readonly Found[] {
    const kept = this.#ofPages.get(page);
    const hangsOn = longestFilling(page, evening);
    if (kept?.hangsOn === hangsOn) return kept.found;
    let isWaiting = false;
    const own = { ...evening, measures: watchMeasures(evening, () => (isWaiting = true)) };
    const found = PAGE_CHECKS.flatMap((check) => check.page?.({ page, evening: own, limits }) ?? []);
    if (!isWaiting) this.#ofPages.set(page, { found, hangsOn });
    return found;
  }

  #stackOn(moment: StageMoment, output: Output, evening: EveningToCheck): PageOnScreen[] {
    const plan = evening.plans.find(({ id }) => id === moment.planId);
    const planned = plan?.outputs[output.id];
    if (!planned || moment.isShut) return [];
    return evening.layers.flatMap(({ id }) => {
      if (!planned.layerIds.includes(id)) return [];
      const lying = lyingOn(moment, id, output.id);
      const page =
        lying && this.pages.find(evening, lying.cue, lying, lying.anchor, planned.outfitId, output);
      return page ? [page] : [];
    });
  }

  #findInStack(
    moment: StageMoment,
    output: Output,
    pages: readonly PageOnScreen[],
    evening: EveningToCheck,
    limits: CheckLimits,
  ): readonly Found[] {
    const { follower } = moment;
    const key = `${output.id}/${moment.cue.cueId}/${moment.staysMs}/${follower && `${follower.cueId}.${follower.revision}`}/${pages.map(({ id }) => id).join("+")}`;
    const kept = this.#stacks.get(key);
    if (kept) return kept;
    let isWaiting = false;
    const own = { ...evening, measures: watchMeasures(evening, () => (isWaiting = true)) };
    const found = STACK_CHECKS.flatMap(
      (check: Check) => check.stack?.({ moment, pages, evening: own, limits }) ?? [],
    );
    if (this.#stacks.size >= MOST_KEPT) this.#stacks.clear();
    if (!isWaiting) this.#stacks.set(key, found);
    return found;
  }
}

/** The longest values that may fill a page: they grow without it. */
function longestFilling({ cue: { doc } }: PageOnScreen, { feeds }: EveningToCheck): string {
  if (doc.kind !== "page") return "";
  const ids = feedsIn(doc.bindings);
  return ids.length === 0
    ? ""
    : JSON.stringify(feeds.filter(({ id }) => ids.includes(id)).map(({ longest }) => longest));
}

/** What has to be painted, and word of what waits. */
const watchMeasures = ({ measures }: EveningToCheck, onWaiting: () => void): EveningToCheck["measures"] => ({
  contrast: (...asked) => {
    const told = measures.contrast(...asked);
    if (told === "waits") onWaiting();
    return told;
  },
  brightness: (...asked) => {
    const told = measures.brightness(...asked);
    if (told === "waits") onWaiting();
    return told;
  },
});

const isDressed = ({ made }: CheckedCue, outfitId: string): boolean =>
  made?.content.wardrobe[outfitId] !== undefined && made.content.flow === null;

/** Those of them that a cue may be seen under. */
function plansOf({ doc, made }: CheckedCue, used: readonly ScreenPlan[]): readonly ScreenPlan[] {
  if (!made || !doc.plan) return used;
  const asked = new Set(
    stepsOf(made.content).flatMap(({ anchor }) => planNeededAt(made.content, anchor)?.id ?? []),
  );
  return used.filter(({ id }) => asked.has(id));
}
