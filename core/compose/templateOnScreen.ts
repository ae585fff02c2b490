import type { PageContent } from "../rundown/content.ts";
import type { Documents } from "../rundown/pinnedDocument.ts";
import { wornAt } from "../rundown/steps.ts";
import { shapeFor } from "../scene/shapes.ts";
import type { SlotPage } from "../show/slot.ts";
import type { Canvas } from "../venue/plan.ts";
import { outfitForShape } from "../venue/shape.ts";

/** Which template a page wears on a screen, and in which style; hashes of pinned documents. */
export interface TemplateOnScreen {
  /** The outfit, or the one of its shapes that is nearest to the screen's. */
  readonly outfitId: string;
  readonly template: string;
  readonly style: string;
}

/** @returns undefined where the outfit has no template for the page at this step */
export function templateOnScreen(
  content: PageContent,
  step: SlotPage["step"],
  outfitId: string,
  output: Canvas,
  documents: Documents,
): TemplateOnScreen | undefined {
  const shaped = outfitForShape(outfitId, content.variants[outfitId] ?? [], output, (id) => {
    const template = documents.get(wornAt(content, id, step)?.template ?? "");
    return template?.kind === "template" ? shapeFor(template, output).canvas : undefined;
  });
  const worn = wornAt(content, shaped, step);
  return worn && { outfitId: shaped, template: worn.template, style: worn.style };
}
