import { LRUCache } from "lru-cache";
import { templateOnScreen } from "../compose/templateOnScreen.ts";
import type { Anchor } from "../rundown/anchor.ts";
import type { CueDoc } from "../rundown/cueDoc.ts";
import { valuesAt } from "../rundown/steps.ts";
import type { FieldValues } from "../scene/lookup.ts";
import type { Template } from "../scene/template.ts";
import { type Canvas, canvasOf, type Output } from "../venue/plan.ts";
import type { CheckedCue } from "./checkedCue.ts";
import type { EveningToCheck } from "./evening.ts";
import { objectKindOf } from "./objectKindOf.ts";
import { countWords, factsOf, type PageOnScreen } from "./pageFacts.ts";

/** Layouts whose facts are kept, a few hundred bytes each: those of a large evening. */
const MOST_KEPT = 12_000;

type LaidOutFacts = ReturnType<typeof factsOf> & Pick<PageOnScreen, "findings" | "wordCount">;

/** The pages of a cue, by step, outfit and screen. */
interface PagesOfCue {
  readonly hash: string;
  readonly pages: Map<string, PageOnScreen>;
}

/** Lays out the pages of an evening as its screens show them, each once. */
export class Pages {
  #known = new WeakMap<CueDoc, PagesOfCue>();
  /** What equal words in equal templates gave: a chorus that comes again, a song of which another line was changed. */
  readonly #laidOut = new LRUCache<string, LaidOutFacts>({ max: MOST_KEPT });
  readonly #canvases = new WeakMap<Output, { readonly canvas: Canvas; readonly key: number }>();
  /** Screens by all that is said of them: equal ones have one number, so that keys are short. */
  readonly #numbers = new Map<string, number>();
  /** Pages laid out since it was made, for tests and measurements. */
  laidOutCount = 0;

  /** @returns undefined where the screen shows nothing of it, or not all that it needs is here yet */
  find(
    evening: EveningToCheck,
    cue: CheckedCue,
    anchor: Anchor,
    outfitId: string,
    output: Output,
  ): PageOnScreen | undefined {
    const { doc, made } = cue;
    if (!made) return undefined;
    const canvas = this.#canvasOf(output);
    let own = this.#known.get(doc);
    if (own?.hash !== made.hash) {
      own = { hash: made.hash, pages: new Map() };
      this.#known.set(doc, own);
    }
    const key = `${anchor.occurrence}/${anchor.unit}/${outfitId}/${canvas.key}`;
    const known = own.pages.get(key);
    if (known?.cue === cue) return known;
    // Where it stands in the script may have changed.
    const page = known ? { ...known, cue } : this.#lookAt(evening, cue, made, anchor, outfitId, canvas);
    if (page) own.pages.set(key, page);
    return page;
  }

  /** What is laid out anew gives other facts: a font has come, or a screen is another. */
  forget(): void {
    this.#known = new WeakMap();
    this.#laidOut.clear();
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
    { hash, content }: NonNullable<CheckedCue["made"]>,
    anchor: Anchor,
    outfitId: string,
    { canvas, key: canvasKey }: { readonly canvas: Canvas; readonly key: number },
  ): PageOnScreen | undefined {
    const { documents } = evening;
    const worn = templateOnScreen(content, anchor, outfitId, canvas, documents);
    const template = worn && documents.get(worn.template);
    if (!worn || template?.kind !== "template") return undefined;
    const values = valuesAt(content, worn.outfitId, anchor);
    if (!values) return undefined;
    const said = JSON.stringify([worn, canvasKey, values, content.adjust, content.whole, content.opacity]);
    let facts = this.#laidOut.get(said);
    if (!facts) {
      const laidOut = evening.dress(
        { cueId: cue.cueId, content: hash, step: anchor },
        outfitId,
        canvas,
      )?.laidOut;
      if (!laidOut) return undefined;
      this.laidOutCount++;
      const own = factsOf(laidOut, template);
      facts = { ...own, findings: laidOut.findings, wordCount: wordsRead(template, values, own) };
      this.#laidOut.set(said, facts);
    }
    return {
      ...{ cue, hash, anchor, layerId: content.layerId, outfitId, output: canvas },
      ...{ template, templateHash: worn.template, styleHash: worn.style, values },
      ...facts,
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
