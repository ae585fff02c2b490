import { Checker } from "../core/check/checker.ts";
import type { EveningToCheck } from "../core/check/evening.ts";
import type { CheckFinding } from "../core/check/gather.ts";
import { NO_MEASURES } from "../core/check/measures.ts";
import { readCheckedCues } from "../core/check/readEvening.ts";
import { createDresser } from "../core/compose/dress.ts";
import { compileCue } from "../core/rundown/compile.ts";
import type { CueDoc } from "../core/rundown/cueDoc.ts";
import type { CueView } from "../core/rundown/edits.ts";
import { FALLBACK_FONTS } from "../core/text/fontList.ts";
import { limitsOf, type SetLimits } from "../core/venue/checkLimits.ts";
import { FIELD_SETS } from "../designs/fieldSets.ts";
import { ALL_OUTFITS } from "../designs/starter.ts";
import { FIVE_OUTPUTS, FIVE_PLAN, STARTER_LAYERS } from "../designs/starterScreens.ts";
import { hashOf } from "../server/store/contentStore.ts";
import { type Bench, prepareBench } from "./contents.ts";

export type MoreOfEvening = Partial<EveningToCheck> & { readonly set?: SetLimits };

/** Cues of a rundown as desks are told of them, compiled as the server does it. */
export function viewsOf(bench: Bench, docs: readonly CueDoc[], revision = 1): CueView[] {
  return docs.map((doc, index): CueView => {
    const made = compileCue(doc, bench.context);
    const cueId = `cue-${index + 1}`;
    if (!("content" in made)) return { cueId, revision, doc, compiled: made };
    const hash = hashOf(made.content);
    bench.documents.set(hash, made.content);
    return { cueId, revision, doc, compiled: { hash } };
  });
}

const FIELD_SETS_BY_ID = new Map(FIELD_SETS.map((set) => [set.id, set]));
const WINDOW = {
  wantedWidthPx: 1,
  wantedHeightPx: 1,
  widthPx: 1,
  heightPx: 1,
  lateMs: null,
  isHidden: false,
};

/** An evening of these cues on five screens that are all well, with nothing else in it. */
export function eveningOf(bench: Bench, docs: readonly CueDoc[], more: MoreOfEvening = {}): EveningToCheck {
  const { set: _, ...others } = more;
  const find = (hash: string) => {
    const found = bench.documents.get(hash);
    return found?.kind === "page" ? found : undefined;
  };
  return {
    cues: readCheckedCues(viewsOf(bench, docs), find, FIELD_SETS_BY_ID),
    layers: STARTER_LAYERS,
    outputs: FIVE_OUTPUTS,
    plans: [FIVE_PLAN],
    planId: FIVE_PLAN.id,
    outfits: ALL_OUTFITS.map(({ id, name, templates }) => ({
      ...{ id, name },
      templates: Object.fromEntries(
        templates.map(({ fieldSet }) => [
          fieldSet,
          templates
            .filter((each) => each.fieldSet === fieldSet)
            .map((each) => ({ id: each.id, key: each.id || each.name, name: each.name })),
        ]),
      ),
    })),
    fieldSets: FIELD_SETS_BY_ID,
    evening: { id: "evening", name: "Evening", day: "", startsAt: "", endsAt: "", copiedCues: 0 },
    today: "2026-12-04",
    licence: "40118",
    feeds: [],
    bindingProblems: {},
    triggers: [],
    clips: [],
    sourceIds: [],
    windows: Object.fromEntries(FIVE_OUTPUTS.map(({ id }) => [id, [WINDOW]])),
    documents: bench.documents,
    dress: createDresser(bench.documents, bench.shaper, FALLBACK_FONTS, "UTC"),
    measures: NO_MEASURES,
    ...others,
  };
}

/** What one look through an evening finds. */
export function lookThrough(evening: EveningToCheck, set: SetLimits = {}, checker = new Checker()) {
  const looking = checker.look(evening, limitsOf(set));
  for (;;) {
    const step = looking.next();
    if (step.done) return step.value;
  }
}

/** Declares what tests of the check need. @returns a function that finds what is wrong with some cues */
export function prepareChecks() {
  const bench = prepareBench(ALL_OUTFITS);
  const find = (docs: readonly CueDoc[], more: MoreOfEvening = {}): readonly CheckFinding[] =>
    lookThrough(eveningOf(bench, docs, more), more.set).findings;
  const findOf = (code: string, docs: readonly CueDoc[], more: MoreOfEvening = {}) =>
    find(docs, more).filter((finding) => finding.code === code);
  return { bench, find, findOf };
}
