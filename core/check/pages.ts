import { templateOnScreen } from "../compose/templateOnScreen.ts";
import type { Anchor } from "../rundown/anchor.ts";
import type { PageContent } from "../rundown/content.ts";
import { valuesAt } from "../rundown/steps.ts";
import type { FieldValues } from "../scene/lookup.ts";
import type { Template } from "../scene/template.ts";
import { type Canvas, canvasOf, type Output } from "../venue/plan.ts";
import type { CheckedCue } from "./checkedCue.ts";
import type { EveningToCheck } from "./evening.ts";
import { objectKindOf } from "./objectKindOf.ts";
import { countWords, factsOf, type PageOnScreen } from "./pageFacts.ts";

/** Pages whose facts are kept: a few hundred bytes each. */
const MOST_KEPT = 40_000;

/** Lays out the pages of an evening as its screens show them, each once. */
export class Pages {
  readonly #known = new Map<string, PageOnScreen>();
  readonly #canvases = new WeakMap<Output, { readonly canvas: Canvas; readonly key: number }>();
  /** Screens by all that is said of them: equal ones have one number, so that keys are short. */
  readonly #numbers = new Map<string, number>();
  #count = 0;
  /** Pages laid out since it was made, for tests and measurements. */
  laidOutCount = 0;

  /** @returns undefined where the screen shows nothing of it, or not all that it needs is here yet */
  find(
    evening: EveningToCheck,
    cue: CheckedCue,
    made: { readonly hash: string; readonly content: PageContent },
    anchor: Anchor,
    outfitId: string,
    output: Output,
  ): PageOnScreen | undefined {
    const { canvas, key: canvasKey } = this.#canvasOf(output);
    const key = `${made.hash}/${anchor.occurrence}/${anchor.unit}/${outfitId}/${canvasKey}/${cue.cueId}/${cue.revision}`;
    const known = this.#known.get(key);
    // Where it stands in the script may have changed.
    if (known?.cue === cue) return known;
    if (known) {
      const again = { ...known, cue, id: ++this.#count };
      this.#known.set(key, again);
      return again;
    }
    const page = this.#lookAt(evening, cue, made, anchor, outfitId, canvas);
    if (page) {
      if (this.#known.size >= MOST_KEPT) this.#known.clear();
      this.#known.set(key, page);
    }
    return page;
  }

  /** What is laid out anew gives other facts: a font has come, or a screen is another. */
  forget(): void {
    this.#known.clear();
  }

  #canvasOf(output: Output) {
    const known = this.#canvases.get(output);
    if (known) return known;
    const canvas = canvasOf(output);
    const said = JSON.stringify(output);
    const key = this.#numbers.get(said) ?? this.#numbers.size;
    this.#numbers.set(said, key);
    const made = { canvas, key };
    this.#canvases.set(output, made);
    return made;
  }

  #lookAt(
    evening: EveningToCheck,
    cue: CheckedCue,
    { hash, content }: { readonly hash: string; readonly content: PageContent },
    anchor: Anchor,
    outfitId: string,
    canvas: Canvas,
  ): PageOnScreen | undefined {
    const { documents } = evening;
    const worn = templateOnScreen(content, anchor, outfitId, canvas, documents);
    const template = worn && documents.get(worn.template);
    if (!worn || template?.kind !== "template") return undefined;
    const dressed = evening.dress({ cueId: cue.cueId, content: hash, step: anchor }, outfitId, canvas);
    const values = valuesAt(content, worn.outfitId, anchor);
    if (!dressed || !values) return undefined;
    this.laidOutCount++;
    const facts = factsOf(dressed.laidOut, template);
    return {
      id: ++this.#count,
      ...{ cue, hash, anchor, layerId: content.layerId, outfitId, output: canvas },
      ...{ template, templateHash: worn.template, styleHash: worn.style, values },
      ...facts,
      findings: dressed.laidOut.findings,
      wordCount: wordsRead(template, values, facts),
    };
  }
}

/** The words of the fields that the page shows, each field once. */
function wordsRead(
  template: Template,
  values: FieldValues,
  { words, crawls }: ReturnType<typeof factsOf>,
): number {
  const fields = new Set(
    [...words.map(({ objectId }) => objectId), ...crawls.map(({ objectId }) => objectId)].flatMap(
      (objectId) => {
        const field = objectKindOf(template, objectId)?.field;
        return field ? [field] : [];
      },
    ),
  );
  let count = 0;
  for (const field of fields) count += countWords(values[field] ?? "");
  return count;
}
