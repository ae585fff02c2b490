import type { PageContent } from "../../core/rundown/content.ts";
import type { CueView } from "../../core/rundown/edits.ts";
import type { ReadyCue } from "../../core/rundown/readyCue.ts";
import type { FieldSets } from "../../core/scene/fieldSet.ts";
import { cueKindName, typedTitle } from "../ui/describeCue.ts";

/** A cue with its content, as the script shows it. */
export interface DeskCue {
  readonly view: CueView;
  readonly index: number;
  /** Undefined when it has a problem. */
  readonly ready: ReadyCue | undefined;
  /** Its name in lists; something even when it is empty. */
  readonly title: string;
  /** What it is called by what was typed in it. */
  readonly typedTitle: string;
  /** What kind of cue it is, in a word or two. */
  readonly kindName: string;
}

export function deskCue(
  view: CueView,
  index: number,
  findContent: (hash: string) => PageContent | undefined,
  fieldSets: FieldSets,
): DeskCue {
  const { cueId, doc, compiled } = view;
  const hash = "hash" in compiled ? compiled.hash : undefined;
  const content = hash && findContent(hash);
  const typed = typedTitle(doc, fieldSets);
  return {
    view,
    index,
    ready: hash && content ? { cueId, index, hash, content, doc } : undefined,
    title: content ? content.title : typed,
    typedTitle: typed,
    kindName: cueKindName(doc, fieldSets),
  };
}

/**
 * The cues in order with their contents, and those of them that can be taken.
 * @param views undefined where a cue has not come yet
 * @param before the cues as they were: the same object where nothing changed, so that the script draws only what did
 */
export function readCues(
  views: readonly (CueView | undefined)[],
  before: readonly DeskCue[],
  findContent: (hash: string) => PageContent | undefined,
  fieldSets: FieldSets,
): { readonly cues: readonly DeskCue[]; readonly ready: readonly ReadyCue[] } {
  const known = new Map(before.map((cue) => [cue.view.cueId, cue]));
  const cues = views.flatMap((view, index): DeskCue[] => {
    if (!view) return [];
    const same = known.get(view.cueId);
    if (same?.view === view && same.index === index) return [same];
    return [deskCue(view, index, findContent, fieldSets)];
  });
  return { cues, ready: cues.flatMap(({ ready }) => (ready ? [ready] : [])) };
}
