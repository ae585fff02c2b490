import { shownBy } from "../../core/design/edit/fields.ts";
import type { HouseStyle } from "../../core/scene/houseStyle.ts";
import { templateKey } from "../../core/scene/template.ts";
import type { DeskDesigns } from "../../core/wire/deskDesigns.ts";
import { type DesignStore, docOf } from "../store/designStore.ts";
import { wardrobesOf } from "../store/wardrobes.ts";

/** What of Design is in use, as desks know it. */
export function deskDesigns(designs: DesignStore): DeskDesigns {
  const byHash = new Map(designs.list("template").map((design) => [design.published?.hash, design]));
  return {
    fieldSets: designs.list("fieldSet").flatMap(({ published }) => published?.doc ?? []),
    outfits: wardrobesOf(designs).map(({ outfitId, linesPerSlide, templates }) => ({
      id: outfitId,
      name: designs.find("outfit", outfitId)?.published?.doc.name ?? outfitId,
      linesPerSlide,
      templates: Object.fromEntries(
        [...templates].map(([fieldSet, offered]) => [
          fieldSet,
          offered.map(({ hash, template }) => ({
            id: byHash.get(hash)?.id ?? "",
            key: templateKey(template),
            name: template.name,
            hasDraft: (byHash.get(hash)?.draft ?? null) !== null,
          })),
        ]),
      ),
    })),
  };
}

/** The house styles as they are published. */
export const shownStyles = (
  designs: DesignStore,
): readonly { readonly id: string; readonly style: HouseStyle }[] =>
  designs.list("style").flatMap(({ id, published }) => (published ? [{ id, style: published.doc }] : []));

/** What each outfit wears and offers, with what is being made for it, as Design shows it. */
export const shownWardrobes = (designs: DesignStore) =>
  designs.list("outfit").map((outfit) => ({
    outfitId: outfit.id,
    templates: Object.values(docOf(outfit).wears).flatMap((ids) => {
      const offered = ids.flatMap((id) => designs.find("template", id) ?? []);
      const worn = offered.find(({ published }) => published !== null);
      return offered.map((design) => ({
        id: design.id,
        template: design.published?.doc ?? docOf(design),
        isWorn: design === worn,
        isDraft: design.draft !== null,
        isPublished: design.published !== null,
      }));
    }),
  }));

/** Field → templates of the same pages, but for one of them, that show it: by their names, as they are being made. */
export function shownElsewhere(
  designs: DesignStore,
  fieldSet: string,
  butTemplateId: string,
): Readonly<Record<string, readonly string[]>> {
  const found = new Map<string, string[]>();
  for (const design of designs.list("template")) {
    const template = docOf(design);
    if (design.id === butTemplateId || template.fieldSet !== fieldSet) continue;
    for (const field of shownBy(template).keys())
      found.set(field, [...(found.get(field) ?? []), template.name]);
  }
  return Object.fromEntries(found);
}
