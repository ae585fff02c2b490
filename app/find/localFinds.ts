import type { Anchor } from "../../core/rundown/anchor.ts";
import { kindOf } from "../../core/rundown/kinds.ts";
import { stepsOf } from "../../core/rundown/steps.ts";
import { type FieldSets, isForPages } from "../../core/scene/fieldSet.ts";
import type { DeskOutfit } from "../../core/wire/deskDesigns.ts";
import { foldWords } from "../../core/words/foldWords.ts";
import { isNearAny } from "../../core/words/nearWords.ts";
import type { DeskCue } from "../desk/deskCues.ts";
import type { DeskSnapshot } from "../desk/deskSnapshot.ts";

/** A step of the rundown that is meant by typed words. */
export interface FoundStep {
  readonly cue: DeskCue;
  readonly title: string;
  readonly kind: string;
  readonly anchor: Anchor | null;
  /** The words that were found, where they are not the title. */
  readonly words: string;
}

/** A kind of page, or one template of it, that can be added. */
export interface FoundTemplate {
  readonly fieldSet: string;
  readonly name: string;
  readonly template: { readonly key: string; readonly name: string } | null;
}

interface Folded {
  readonly title: string;
  /** What else its fields say, and notes that only the desk sees. */
  readonly aside: string;
  readonly steps: readonly { readonly anchor: Anchor; readonly words: string; readonly folded: string }[];
}
const foldedByView = new WeakMap<DeskCue["view"], Folded>();

function foldedOf({ view, ready, title, typedTitle }: DeskCue): Folded {
  let folded = foldedByView.get(view);
  if (!folded) {
    const { doc } = view;
    const aside = [doc.note, typedTitle, ...kindOf(doc).asides(doc)];
    folded = {
      title: foldWords(title),
      aside: foldWords(aside.join(" ")),
      steps: (ready ? stepsOf(ready.content) : [])
        .filter(({ kind }) => kind !== "leave" && kind !== "blank")
        .map(({ anchor, words }) => ({ anchor, words, folded: foldWords(words) })),
    };
    // What is not compiled yet has no steps yet.
    if (ready) foldedByView.set(view, folded);
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
    const _content = cue.ready?.content;
    const { title, kindName: kind } = cue;
    const folded = foldedOf(cue);
    const foldedTitle = folded.title;
    const first = folded.steps[0]?.anchor ?? null;
    if (foldedTitle.startsWith(wanted))
      ranked.push({ rank: 0, found: { cue, title, kind, anchor: first, words: "" } });
    else if (words.every((word) => foldedTitle.includes(word)))
      ranked.push({ rank: 1, found: { cue, title, kind, anchor: first, words: "" } });
    else {
      const step =
        folded.steps.find((candidate) => candidate.folded.includes(wanted)) ??
        (words.length > 1
          ? folded.steps.find((candidate) => words.every((word) => candidate.folded.includes(word)))
          : undefined);
      if (step) ranked.push({ rank: 2, found: { cue, title, kind, anchor: step.anchor, words: step.words } });
      else if (String(cue.index + 1) === wanted)
        ranked.push({ rank: 0, found: { cue, title, kind, anchor: first, words: "" } });
      else if (words.every((word) => folded.aside.includes(word)))
        ranked.push({ rank: 3, found: { cue, title, kind, anchor: first, words: asideOf(cue) } });
    }
  }
  if (ranked.length === 0) ranked.push(...spelledNearly(words, cues));
  return ranked
    .sort((a, b) => a.rank - b.rank)
    .slice(0, MOST_STEPS)
    .map(({ found }) => found);
}

/** What a cue says besides its title, as it was typed. */
function asideOf({ view: { doc } }: DeskCue): string {
  return (
    kindOf(doc)
      .asides(doc)
      .filter((text) => text !== "")
      .join(" · ") || doc.note
  );
}

/** Nothing is called so: what is spelt nearly so, title, words, fields and notes alike. */
function spelledNearly(
  words: readonly string[],
  cues: readonly DeskCue[],
): { rank: number; found: FoundStep }[] {
  return cues.flatMap((cue) => {
    const { title, aside, steps } = foldedOf(cue);
    const named = { cue, title: cue.title, kind: cue.kindName };
    const about = `${title} ${aside}`.split(" ");
    if (words.every((word) => isNearAny(word, about)))
      return [{ rank: 4, found: { ...named, anchor: steps[0]?.anchor ?? null, words: "" } }];
    const step = steps.find(({ folded }) => {
      const own = folded.split(" ");
      return words.every((word) => isNearAny(word, own));
    });
    return step ? [{ rank: 5, found: { ...named, anchor: step.anchor, words: step.words } }] : [];
  });
}

/** The cue chosen for editing, before anything is typed: what was just made can be taken at once. */
export function chosenStep({ cues, chosenId }: Pick<DeskSnapshot, "cues" | "chosenId">): FoundStep[] {
  const cue = cues.find(({ view }) => view.cueId === chosenId);
  if (!cue) return [];
  const [first] = foldedOf(cue).steps;
  return [
    {
      cue,
      title: cue.title,
      kind: cue.kindName,
      anchor: first?.anchor ?? null,
      words: first?.words ?? "",
    },
  ];
}

const MOST_TEMPLATES = 4;

/** Kinds of pages and the templates that outfits offer for them, by name. */
export function findTemplates(
  query: string,
  outfits: readonly DeskOutfit[],
  fieldSets: FieldSets,
): FoundTemplate[] {
  const wanted = foldWords(query);
  if (wanted.length < 2) return [];
  const ofPages = [...fieldSets.values()].filter(isForPages);
  const found: FoundTemplate[] = ofPages
    .filter(({ name }) => foldWords(name).includes(wanted))
    .map(({ id, name }) => ({ fieldSet: id, name, template: null }));
  for (const { templates } of outfits)
    for (const { id, name } of ofPages)
      for (const template of templates[id] ?? [])
        if (
          foldWords(template.name).includes(wanted) &&
          !found.some((other) => other.template?.key === template.key)
        )
          found.push({ fieldSet: id, name, template });
  return found.slice(0, MOST_TEMPLATES);
}
