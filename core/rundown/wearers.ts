import { wornBy } from "./chooseTemplate.ts";
import type { Wardrobe } from "./compileContext.ts";
import type { CueDoc } from "./cueDoc.ts";
import { kindOf } from "./kinds.ts";

/** Fields that songs have beside their words: the step with the credit at their end. */
const CREDIT = "credit";

/**
 * Outfits in which a cue wears a template, worked out without making its slides: for counting many cues at once.
 * @param hash the template's, as it is offered
 */
export function outfitsWearing(doc: CueDoc, hash: string, wardrobes: readonly Wardrobe[]): readonly string[] {
  const own = kindOf(doc).fieldSetOf(doc);
  const chosen = "template" in doc ? doc.template : null;
  const sets = [
    ...(own ? [{ set: own, template: chosen }] : []),
    ...(doc.kind === "song" ? [{ set: CREDIT, template: null }] : []),
  ];
  const found = sets.flatMap(({ set, template }) =>
    [...wornBy({ wardrobes }, set, { template })].flatMap(([outfitId, worn]) =>
      worn.hash === hash ? [outfitId] : [],
    ),
  );
  return [...new Set(found)];
}
