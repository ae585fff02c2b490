import type { Wardrobe } from "../../core/rundown/compileContext.ts";
import type { Template } from "../../core/scene/template.ts";
import { findTooLarge } from "../../core/scene/templateLimits.ts";
import { FIELD_SETS } from "../../designs/fieldSets.ts";
import type { Rundown } from "../rundown/rundown.ts";
import type { ContentStore } from "../store/contentStore.ts";
import type { Db } from "../store/database.ts";
import type { SetAside } from "../store/setAside.ts";
import { addTemplate, dropTemplate, loadShow, type Show } from "../store/showStore.ts";

/** Templates an outfit may offer for one field set. */
const MOST_LOOKS = 40;

/** What each outfit wears and offers, and the ways to change that. */
export interface TemplatesEditor {
  readonly wardrobes: () => readonly Wardrobe[];
  /** Offers a template for an outfit. @returns a sentence when it cannot be offered */
  readonly offer: (outfitId: string, template: Template) => Promise<string | undefined>;
  /** Takes an offered template from an outfit. @returns a sentence when it cannot be taken */
  readonly remove: (outfitId: string, name: string) => Promise<string | undefined>;
}

export function createTemplatesEditor(
  db: Db,
  contents: ContentStore,
  show: Show,
  rundown: Rundown,
  setAside: SetAside,
): TemplatesEditor {
  let wardrobes = show.wardrobes;
  const offer = async (outfitId: string, template: Template) => {
    const wardrobe = wardrobes.find((candidate) => candidate.outfitId === outfitId);
    if (!wardrobe) return "No outfit has that name. Nothing was changed.";
    if (!FIELD_SETS.some(({ id }) => id === template.fieldSet))
      return `The template is for fields called “${template.fieldSet}”, which no page has. Nothing was changed.`;
    const tooLarge = findTooLarge(template);
    if (tooLarge) return tooLarge;
    const offered = wardrobe.templates.get(template.fieldSet) ?? [];
    if (offered.some((other) => other.template.name === template.name))
      return `The outfit has a template called “${template.name}” already. Give this one another name; nothing was changed.`;
    if (offered.length >= MOST_LOOKS)
      return `The outfit offers ${MOST_LOOKS} templates for these fields, which is the most. Nothing was changed.`;
    await addTemplate(db, contents, show.id, outfitId, template);
    wardrobes = (await loadShow(db, contents, show.id, setAside)).wardrobes;
    rundown.setContext({ wardrobes });
    return undefined;
  };
  const remove = async (outfitId: string, name: string) => {
    const wardrobe = wardrobes.find((candidate) => candidate.outfitId === outfitId);
    const found = [...(wardrobe?.templates ?? [])].find(([, offered]) =>
      offered.some(({ template }) => template.name === name),
    );
    if (!found) return "No outfit has that template any more.";
    const [fieldSet, offered] = found;
    if (offered[0]?.template.name === name)
      return `“${name}” is what the outfit wears, so it stays. Nothing was changed.`;
    const hash = offered.find(({ template }) => template.name === name)?.hash ?? "";
    await dropTemplate(db, show.id, outfitId, fieldSet, hash);
    wardrobes = (await loadShow(db, contents, show.id, setAside)).wardrobes;
    rundown.setContext({ wardrobes });
    return undefined;
  };
  return { wardrobes: () => wardrobes, offer, remove };
}
