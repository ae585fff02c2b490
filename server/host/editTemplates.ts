import { randomUUID } from "node:crypto";
import type { OfferedTemplate, Wardrobe } from "../../core/rundown/compileContext.ts";
import { type Template, templateKey } from "../../core/scene/template.ts";
import { findTooLarge } from "../../core/scene/templateLimits.ts";
import { withLibraryMedia } from "../../core/scene/templateMedia.ts";
import { FIELD_SETS } from "../../designs/fieldSets.ts";
import type { Rundown } from "../rundown/rundown.ts";
import type { ContentStore } from "../store/contentStore.ts";
import type { Db } from "../store/database.ts";
import type { MediaStore } from "../store/mediaStore.ts";
import type { SetAside } from "../store/setAside.ts";
import {
  addTemplate,
  dropTemplate,
  loadShow,
  replaceTemplate,
  type Show,
  wearTemplate,
} from "../store/showStore.ts";

/** Templates an outfit may offer for one field set. */
const MOST_OFFERED = 40;

/** A template that an outfit offers. */
export interface OfferedAs {
  readonly outfitId: string;
  readonly fieldSet: string;
  readonly key: string;
}

/** What came of offering a template. */
export type Offer =
  | { readonly problem: string }
  | { readonly template: Template; readonly told: readonly string[] };

/** What each outfit wears and offers, and the ways to change that. What is on air keeps what it was taken with. */
export interface TemplatesEditor {
  readonly wardrobes: () => readonly Wardrobe[];
  /**
   * Offers a template for an outfit, or in the place of one that it offers: pages that chose that one wear the new one from their
   * next take on.
   */
  readonly offer: (outfitId: string, template: Template, replaces?: string | null) => Promise<Offer>;
  /** Takes an offered template from an outfit. @returns a sentence when it cannot be taken */
  readonly remove: (offered: OfferedAs) => Promise<string | undefined>;
  /** Makes an offered template the one that the outfit wears where a page chooses none. */
  readonly wear: (offered: OfferedAs) => Promise<string | undefined>;
}

export function createTemplatesEditor(
  db: Db,
  contents: ContentStore,
  show: Show,
  rundown: Rundown,
  media: MediaStore,
  setAside: SetAside,
): TemplatesEditor {
  let wardrobes = show.wardrobes;
  const reload = async () => {
    wardrobes = (await loadShow(db, contents, show.id, setAside)).wardrobes;
    rundown.setContext({ wardrobes });
  };
  const offeredBy = (outfitId: string, fieldSet: string): readonly OfferedTemplate[] =>
    wardrobes.find((one) => one.outfitId === outfitId)?.templates.get(fieldSet) ?? [];
  const find = ({ outfitId, fieldSet, key }: OfferedAs) =>
    offeredBy(outfitId, fieldSet).find(({ template }) => templateKey(template) === key);
  const rowOf = ({ outfitId, fieldSet }: OfferedAs, hash: string) => ({
    showId: show.id,
    outfitId,
    fieldSet,
    hash,
  });

  const offer = async (
    outfitId: string,
    brought: Template,
    replaces: string | null = null,
  ): Promise<Offer> => {
    const { fieldSet } = brought;
    const problem = (sentence: string): Offer => ({ problem: sentence });
    if (!wardrobes.some((one) => one.outfitId === outfitId))
      return problem("No outfit has that name. Nothing was changed.");
    if (!FIELD_SETS.some(({ id }) => id === fieldSet))
      return problem(
        `The template is for fields called “${fieldSet}”, which no page has. Nothing was changed.`,
      );
    const tooLarge = findTooLarge(brought);
    if (tooLarge) return problem(tooLarge);
    const old = replaces === null ? undefined : find({ outfitId, fieldSet, key: replaces });
    if (replaces !== null && !old)
      return problem(
        `The template is for fields called “${fieldSet}”, and the one to be replaced is not. Nothing was changed.`,
      );
    const others = offeredBy(outfitId, fieldSet).filter((one) => one !== old);
    if (others.some(({ template }) => template.name === brought.name))
      return problem(
        `The outfit has a template called “${brought.name}” already. Replace that one, or give this one another name; nothing was changed.`,
      );
    if (others.length >= MOST_OFFERED)
      return problem(
        `The outfit offers ${MOST_OFFERED} templates for these fields, which is the most. Nothing was changed.`,
      );
    // One that is the same as another by its id would be chosen in its place.
    const isTaken = others.some(({ template }) => template.id === brought.id);
    // Pages name the old one by its key, which is its name where it has no id.
    const id = old ? templateKey(old.template) : brought.id === "" || isTaken ? randomUUID() : brought.id;
    const byName = new Map(media.list().map(({ hash, info }) => [info.name, hash]));
    const { template, missing } = withLibraryMedia({ ...brought, id }, (name) => byName.get(name));
    if (old) await replaceTemplate(db, contents, rowOf({ outfitId, fieldSet, key: "" }, old.hash), template);
    else await addTemplate(db, contents, show.id, outfitId, template);
    await reload();
    const told = missing.map(
      (name) =>
        `The library has nothing called “${name}”: a stand-in is shown. Import it under that name, then import the template again.`,
    );
    return { template, told };
  };

  const remove = async (offered: OfferedAs) => {
    const found = find(offered);
    if (!found) return "No outfit has that template any more.";
    if (offeredBy(offered.outfitId, offered.fieldSet).length === 1)
      return `“${found.template.name}” is the only one the outfit has for these fields, so it stays. Import another first; nothing was changed.`;
    await dropTemplate(db, rowOf(offered, found.hash));
    await reload();
    return undefined;
  };

  const wear = async (offered: OfferedAs) => {
    const found = find(offered);
    if (!found) return "No outfit has that template any more.";
    await wearTemplate(db, rowOf(offered, found.hash));
    await reload();
    return undefined;
  };
  return { wardrobes: () => wardrobes, offer, remove, wear };
}
