import type { Anchor } from "../../core/rundown/anchor.ts";
import type { PageContent } from "../../core/rundown/content.ts";
import { stepsOf } from "../../core/rundown/steps.ts";
import { foldWords } from "../../core/words/foldWords.ts";
import { FIELD_SETS, PAGE_FIELD_SETS } from "../../designs/fieldSets.ts";
import type { DeskCue } from "../desk/deskCues.ts";
import type { DeskSnapshot } from "../desk/deskStore.ts";
import type { DeskOutfit } from "../desk/outfit.ts";
import { cueKindName, cueTitle } from "../ui/cueWords.ts";

/** A step of the rundown that is meant by typed words. */
export interface FoundStep {
  readonly cue: DeskCue;
  readonly title: string;
  readonly kind: string;
  readonly anchor: Anchor | null;
  /** The words that were found, where they are not the title. */
  readonly words: string;
}

/** A kind of page, or one look of it, that can be added. */
export interface FoundTemplate {
  readonly fieldSet: string;
  readonly name: string;
  readonly look: string | null;
}

interface Folded {
  readonly title: string;
  readonly steps: readonly { readonly anchor: Anchor; readonly words: string; readonly folded: string }[];
}
const foldedByContent = new WeakMap<PageContent, Folded>();

function foldedOf(content: PageContent): Folded {
  let folded = foldedByContent.get(content);
  if (!folded) {
    folded = {
      title: foldWords(content.title),
      steps: stepsOf(content)
        .filter(({ kind }) => kind !== "leave" && kind !== "blank")
        .map(({ anchor, words }) => ({ anchor, words, folded: foldWords(words) })),
    };
    foldedByContent.set(content, folded);
  }
  return folded;
}

const MOST_STEPS = 7;

/** Cues by title first, then steps by their words; in the order of the rundown. */
export function findSteps(query: string, cues: readonly DeskCue[]): FoundStep[] {
  const wanted = foldWords(query);
  if (wanted === "") return [];
  const words = wanted.split(" ");
  const ranked: { rank: number; found: FoundStep }[] = [];
  for (const cue of cues) {
    const content = cue.ready?.content;
    const title = cueTitle(cue.view.doc, content);
    const kind = cueKindName(cue.view.doc);
    const folded = content && foldedOf(content);
    const foldedTitle = folded?.title ?? foldWords(title);
    const first = folded?.steps[0]?.anchor ?? null;
    if (foldedTitle.startsWith(wanted))
      ranked.push({ rank: 0, found: { cue, title, kind, anchor: first, words: "" } });
    else if (words.every((word) => foldedTitle.includes(word)))
      ranked.push({ rank: 1, found: { cue, title, kind, anchor: first, words: "" } });
    else {
      const step =
        folded?.steps.find((candidate) => candidate.folded.includes(wanted)) ??
        (words.length > 1
          ? folded?.steps.find((candidate) => words.every((word) => candidate.folded.includes(word)))
          : undefined);
      if (step) ranked.push({ rank: 2, found: { cue, title, kind, anchor: step.anchor, words: step.words } });
      else if (String(cue.index + 1) === wanted)
        ranked.push({ rank: 0, found: { cue, title, kind, anchor: first, words: "" } });
    }
  }
  return ranked
    .sort((a, b) => a.rank - b.rank)
    .slice(0, MOST_STEPS)
    .map(({ found }) => found);
}

/** The cue chosen for editing, before anything is typed: what was just made can be taken at once. */
export function chosenStep({ cues, chosenId }: DeskSnapshot): FoundStep[] {
  const cue = cues.find(({ view }) => view.cueId === chosenId);
  if (!cue) return [];
  const first = cue.ready && foldedOf(cue.ready.content).steps[0];
  return [
    {
      cue,
      title: cueTitle(cue.view.doc, cue.ready?.content),
      kind: cueKindName(cue.view.doc),
      anchor: first?.anchor ?? null,
      words: first?.words ?? "",
    },
  ];
}

const MOST_TEMPLATES = 4;

/** Kinds of pages and the looks that outfits offer for them, by name. */
export function findTemplates(query: string, outfits: readonly DeskOutfit[]): FoundTemplate[] {
  const wanted = foldWords(query);
  if (wanted.length < 2) return [];
  const found: FoundTemplate[] = PAGE_FIELD_SETS.filter(({ name }) => foldWords(name).includes(wanted)).map(
    ({ id, name }) => ({ fieldSet: id, name, look: null }),
  );
  for (const { looks } of outfits)
    for (const { id, name } of PAGE_FIELD_SETS)
      for (const look of looks[id] ?? [])
        if (foldWords(look).includes(wanted) && !found.some((other) => other.look === look))
          found.push({ fieldSet: id, name, look });
  return found.slice(0, MOST_TEMPLATES);
}

export const fieldSetName = (id: string): string => FIELD_SETS.find((set) => set.id === id)?.name ?? id;
