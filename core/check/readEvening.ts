import type { PageContent } from "../rundown/content.ts";
import type { CueView } from "../rundown/edits.ts";
import { kindOf } from "../rundown/kinds.ts";
import type { FieldSets } from "../scene/fieldSet.ts";
import type { CheckedCue } from "./checkedCue.ts";

/**
 * The cues of a rundown as the check reads them, in their order.
 * @param before those that were read before: the same object where nothing changed, so that what was found of it holds
 */
export function readCheckedCues(
  views: readonly CueView[],
  findContent: (hash: string) => PageContent | undefined,
  fieldSets: FieldSets,
  before: readonly CheckedCue[] = [],
): CheckedCue[] {
  const known = new Map(before.map((cue) => [cue.cueId, cue]));
  return views.map(({ cueId, revision, doc, compiled }, index): CheckedCue => {
    const hash = "hash" in compiled ? compiled.hash : undefined;
    const content = hash === undefined ? undefined : findContent(hash);
    const made = hash !== undefined && content ? { hash, content } : null;
    const problem = "problem" in compiled ? compiled.problem : null;
    const was = known.get(cueId);
    if (was && was.index === index && was.doc === doc && was.made?.hash === made?.hash) return was;
    const title = content?.title || kindOf(doc).typedTitle(doc) || kindOf(doc).emptyTitle(doc, fieldSets);
    return { cueId, index, revision, doc, title, made, problem };
  });
}
