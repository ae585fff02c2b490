import type { PageContent } from "../../core/rundown/content.ts";
import type { CueView } from "../../core/rundown/edits.ts";
import type { ReadyCue } from "../../core/rundown/readyCue.ts";

/** A cue with its content, as the script shows it. */
export interface DeskCue {
  readonly view: CueView;
  readonly index: number;
  /** Undefined when it has a problem. */
  readonly ready: ReadyCue | undefined;
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
): { readonly cues: readonly DeskCue[]; readonly ready: readonly ReadyCue[] } {
  const known = new Map(before.map((cue) => [cue.view.cueId, cue]));
  const cues = views.flatMap((view, index): DeskCue[] => {
    if (!view) return [];
    const same = known.get(view.cueId);
    if (same?.view === view && same.index === index) return [same];
    const hash = "hash" in view.compiled ? view.compiled.hash : undefined;
    const content = hash && findContent(hash);
    const { cueId, doc } = view;
    return [{ view, index, ready: hash && content ? { cueId, index, hash, content, doc } : undefined }];
  });
  return { cues, ready: cues.flatMap(({ ready }) => (ready ? [ready] : [])) };
}
