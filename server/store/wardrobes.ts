import type { OfferedTemplate, Wardrobe } from "../../core/rundown/compileContext.ts";
import type { FieldSet } from "../../core/scene/fieldSet.ts";
import type { DesignStore } from "./designStore.ts";

/** What each outfit wears and offers, as it is published. What it names that is gone is left out. */
export function wardrobesOf(designs: DesignStore): readonly Wardrobe[] {
  return designs.list("outfit").flatMap(({ id, published }): Wardrobe[] => {
    if (!published) return [];
    const { linesPerSlide, variants, wears } = published.doc;
    const templates = new Map<string, readonly OfferedTemplate[]>();
    for (const [fieldSet, ids] of Object.entries(wears)) {
      const offered = ids.flatMap((templateId): OfferedTemplate[] => {
        const template = designs.find("template", templateId)?.published;
        return template?.doc.fieldSet === fieldSet ? [{ hash: template.hash, template: template.doc }] : [];
      });
      if (offered.length > 0) templates.set(fieldSet, offered);
    }
    return [{ outfitId: id, linesPerSlide, variants, templates }];
  });
}

/** Field sets as they are published, by their ids. */
export const fieldSetsOf = (designs: DesignStore): ReadonlyMap<string, FieldSet> =>
  new Map(designs.list("fieldSet").flatMap(({ id, published }) => (published ? [[id, published.doc]] : [])));
