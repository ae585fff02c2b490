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
import { type LyingPage, lyingOn, type StageMoment, walkEvening } from "./walk.ts";

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

/** What the pages of a cue gave. */
interface LookedThrough {
  readonly found: readonly Found[];
  readonly looked: number;
  /** What else than the cue it follows from. */
  readonly hangsOn: string;
}

/** What lies over each other on one screen, and what that gave. */
interface LookedStack {
  readonly pages: readonly PageOnScreen[];
  readonly moment: Pick<StageMoment, "cue" | "staysMs" | "follower">;
  readonly found: readonly Found[];
}

/**
 * Looks through an evening, and keeps what it has seen: after an edit only what the edit touches is looked at again. The same
 * evening gives the same findings, whatever was looked at before.
 */
export class Checker {
  readonly pages = new Pages();
  #ofCues = new WeakMap<CheckedCue, LookedThrough>();
  /** By the page that lies on top. */
  #stacks = new WeakMap<PageOnScreen, LookedStack[]>();
  #frame = "";

  /** Everything is looked at again: fonts or pictures have come. */
  forget(): void {
    this.pages.forget();
    this.#ofCues = new WeakMap();
    this.#stacks = new WeakMap();
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
    const plansSaid = JSON.stringify(used);
    for (const cue of evening.cues) {
      const hangsOn = plansSaid + longestFilling(cue, evening);
      let own = this.#ofCues.get(cue);
      if (own?.hangsOn !== hangsOn) {
        const { areAllHere, ...seen } = yield* this.#lookThrough(cue, plansOf(cue, used), evening, limits);
        own = { ...seen, hangsOn };
        if (areAllHere) this.#ofCues.set(cue, own);
        else waits();
      }
      looked += own.looked;
      found.push(...own.found);
    }
    yield;
    const moments = walkEvening(evening, limits.wordsPerMinute);
    yield;
    const screensOf = screensUnder(evening);
    for (const moment of moments) {
      if (moment.isShut) continue;
      for (const screen of screensOf.get(moment.planId) ?? []) {
        const pages = this.#stackOn(moment, screen, evening);
        if (pages.length > 0) found.push(...this.#findInStack(moment, pages, watched, limits));
        yield;
      }
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

  /** All pages of a cue, on every screen under every plan that it may be seen under. */
  *#lookThrough(cue: CheckedCue, plans: readonly ScreenPlan[], evening: EveningToCheck, limits: CheckLimits) {
    const found: Found[] = [];
    let looked = 0;
    let areAllHere = true;
    const waits = () => {
      areAllHere = false;
    };
    const own = { ...evening, measures: watchMeasures(evening, waits) };
    for (const plan of cue.made ? plans : []) {
      for (const output of evening.outputs) {
        const planned = plan.outputs[output.id];
        const { content } = cue.made as NonNullable<CheckedCue["made"]>;
        if (!planned?.layerIds.includes(content.layerId)) continue;
        if (content.only && !content.only.includes(output.id)) continue;
        for (const { anchor, kind } of stepsOf(content)) {
          if (kind === "leave" || kind === "blank") continue;
          const page = this.pages.find(evening, cue, anchor, planned.outfitId, output);
          if (!page) {
            if (isDressed(cue, planned.outfitId)) waits();
            continue;
          }
          looked++;
          for (const check of PAGE_CHECKS)
            found.push(...(check.page?.({ page, evening: own, limits }) ?? []));
          yield;
        }
      }
    }
    return { found, looked, areAllHere };
  }

  #stackOn(moment: StageMoment, screen: ScreenUnderPlan, evening: EveningToCheck): PageOnScreen[] {
    const { output, outfitId, layerIds, known } = screen;
    const pages: PageOnScreen[] = [];
    for (const layerId of layerIds) {
      const lying = lyingOn(moment, layerId, output.id);
      if (!lying) continue;
      let page = known.get(lying);
      if (!page) {
        page = this.pages.find(evening, lying.cue, lying.anchor, outfitId, output);
        if (page) known.set(lying, page);
      }
      if (page) pages.push(page);
    }
    return pages;
  }

  #findInStack(
    moment: StageMoment,
    pages: readonly PageOnScreen[],
    evening: EveningToCheck,
    limits: CheckLimits,
  ): readonly Found[] {
    const top = pages.at(-1) as PageOnScreen;
    const known = this.#stacks.get(top) ?? [];
    const kept = known.find((one) => isSameStack(one, pages, moment));
    if (kept) return kept.found;
    let isWaiting = false;
    const own = { ...evening, measures: watchMeasures(evening, () => (isWaiting = true)) };
    const found = STACK_CHECKS.flatMap(
      (check: Check) => check.stack?.({ moment, pages, evening: own, limits }) ?? [],
    );
    if (!isWaiting) {
      const { cue, staysMs, follower } = moment;
      known.push({ pages, moment: { cue, staysMs, follower }, found });
      this.#stacks.set(top, known);
    }
    return found;
  }
}

interface ScreenUnderPlan {
  readonly output: Output;
  readonly outfitId: string;
  /** From the back to the front. */
  readonly layerIds: readonly string[];
  /** What lies through many moments is found once. */
  readonly known: Map<LyingPage, PageOnScreen>;
}

/** Plan → what each screen shows under it. */
const screensUnder = ({ plans, outputs, layers }: EveningToCheck): ReadonlyMap<string, ScreenUnderPlan[]> =>
  new Map(
    plans.map((plan) => [
      plan.id,
      outputs.flatMap((output) => {
        const planned = plan.outputs[output.id];
        const layerIds = layers.map(({ id }) => id).filter((id) => planned?.layerIds.includes(id));
        return planned ? [{ output, outfitId: planned.outfitId, layerIds, known: new Map() }] : [];
      }),
    ]),
  );

const isSameStack = (
  { pages, moment }: LookedStack,
  otherPages: readonly PageOnScreen[],
  { cue, staysMs, follower }: StageMoment,
): boolean =>
  moment.cue === cue &&
  moment.staysMs === staysMs &&
  moment.follower === follower &&
  pages.length === otherPages.length &&
  pages.every((page, at) => page === otherPages[at]);

/** The longest values that may fill the pages of a cue: they grow without it. */
function longestFilling({ doc }: CheckedCue, { feeds }: EveningToCheck): string {
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
