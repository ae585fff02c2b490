import { randomUUID } from "node:crypto";
import { changesOf } from "../../core/design/designKinds.ts";
import { t } from "../../core/language/t.ts";
import type { OfferedTemplate, Wardrobe } from "../../core/rundown/compileContext.ts";
import { type Template, templateKey } from "../../core/scene/template.ts";
import { findTooLarge } from "../../core/scene/templateLimits.ts";
import { withLibraryMedia } from "../../core/scene/templateMedia.ts";
import { MOST_OFFERED } from "../../core/venue/outfit.ts";
import { type Design, type DesignStore, docOf } from "../store/designStore.ts";
import type { MediaStore } from "../store/mediaStore.ts";
import { wardrobesOf } from "../store/wardrobes.ts";

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
  readonly offer: (
    outfitId: string,
    template: Template,
    actor: string,
    replaces?: string | null,
  ) => Promise<Offer>;
  /** Why a template cannot be offered so, but for its fields; undefined when it can. */
  readonly whyNot: (
    outfitId: string,
    template: Template,
    replaces: string | null,
  ) => { readonly problem: string } | undefined;
  /** Takes an offered template from an outfit. @returns a sentence when it cannot be taken */
  readonly remove: (offered: OfferedAs, actor: string) => Promise<string | undefined>;
  /** Makes an offered template the one that the outfit wears where a page chooses none. */
  readonly wear: (offered: OfferedAs, actor: string) => Promise<string | undefined>;
}

export function createTemplatesEditor(
  designs: DesignStore,
  media: MediaStore,
  now: () => number,
): TemplatesEditor {
  const wardrobes = () => wardrobesOf(designs);
  const offeredBy = (outfitId: string, fieldSet: string): readonly OfferedTemplate[] =>
    wardrobes()
      .find((one) => one.outfitId === outfitId)
      ?.templates.get(fieldSet) ?? [];
  const find = ({ outfitId, fieldSet, key }: OfferedAs) => {
    const found = offeredBy(outfitId, fieldSet).find(({ template }) => templateKey(template) === key);
    const design = found && designs.list("template").find(({ published }) => published?.hash === found.hash);
    return design && { id: design.id, template: found.template };
  };

  /** Changes what an outfit wears for a field set, at once. */
  const wearing = async (
    { outfitId, fieldSet }: Pick<OfferedAs, "outfitId" | "fieldSet">,
    actor: string,
    label: string,
    change: (ids: readonly string[]) => readonly string[],
  ): Promise<void> => {
    const outfit = designs.find("outfit", outfitId);
    if (!outfit?.published) throw new Error(`There is no outfit ${outfitId}`);
    const { doc } = outfit.published;
    const after = { ...doc, wears: { ...doc.wears, [fieldSet]: [...change(doc.wears[fieldSet] ?? [])] } };
    const how = { actor, label, atMs: now(), joins: false };
    const changed = await designs.change(outfit, changesOf("outfit", docOf(outfit), after), how);
    if ("problem" in changed)
      throw new Error(`The outfit ${outfitId} could not be changed: ${changed.problem}`);
    await designs.publish(outfit, { actor, atMs: now(), note: label });
  };

  const problem = (sentence: string) => ({ problem: sentence });
  /** Those beside the one that is to be replaced. */
  const beside = (outfitId: string, { fieldSet }: Template, replaces: string | null) => {
    const old = replaces === null ? undefined : find({ outfitId, fieldSet, key: replaces });
    const others = offeredBy(outfitId, fieldSet).filter(({ template }) => template !== old?.template);
    return { old, others };
  };
  const whyNot: TemplatesEditor["whyNot"] = (outfitId, brought, replaces) => {
    const { fieldSet } = brought;
    if (!wardrobes().some((one) => one.outfitId === outfitId))
      return problem(t`No outfit has that name. Nothing was changed.`);
    const tooLarge = findTooLarge(brought);
    if (tooLarge) return problem(tooLarge);
    const { old, others } = beside(outfitId, brought, replaces);
    if (replaces !== null && !old)
      return problem(
        t`The template is for fields called “${fieldSet}”, and the one to be replaced is not. Nothing was changed.`,
      );
    if (others.some(({ template }) => template.name === brought.name))
      return problem(
        t`The outfit has a template called “${brought.name}” already. Replace that one, or give this one another name; nothing was changed.`,
      );
    if (others.length >= MOST_OFFERED)
      return problem(
        t`The outfit offers ${MOST_OFFERED} templates for these fields, which is the most. Nothing was changed.`,
      );
    return undefined;
  };

  const offer = async (
    outfitId: string,
    brought: Template,
    actor: string,
    replaces: string | null = null,
  ): Promise<Offer> => {
    const { fieldSet } = brought;
    const refused = whyNot(outfitId, brought, replaces);
    if (refused) return refused;
    if (!designs.find("fieldSet", fieldSet)?.published)
      return problem(
        t`The template is for fields called “${fieldSet}”, which no page has. Nothing was changed.`,
      );
    const { old, others } = beside(outfitId, brought, replaces);
    // One that is the same as another by its id would be chosen in its place.
    const isTaken = others.some(({ template }) => template.id === brought.id);
    // Pages name the old one by its key, which is its name where it has no id.
    const key = old ? templateKey(old.template) : brought.id === "" || isTaken ? randomUUID() : brought.id;
    const byName = new Map(media.list().map(({ hash, info }) => [info.name, hash]));
    const { template, missing } = withLibraryMedia({ ...brought, id: key }, (name) => byName.get(name));
    const how = { actor, atMs: now(), isDraft: false };
    if (old) {
      const design = getDesign(designs, old.id);
      const label = t`Replace ${old.template.name}`;
      const changes = changesOf("template", docOf(design), template);
      const changed = await designs.change(design, changes, { ...how, label, joins: false });
      if ("problem" in changed) return problem(changed.problem);
      await designs.publish(design, { ...how, note: label });
    } else {
      const id = randomUUID();
      await designs.add({ kind: "template", id }, template, how);
      await wearing({ outfitId, fieldSet }, actor, t`Import ${template.name}`, (ids) => [...ids, id]);
    }
    const told = missing.map(
      (name) =>
        t`The library has nothing called “${name}”: a stand-in is shown. Import it under that name, then import the template again.`,
    );
    return { template, told };
  };

  const remove = async (offered: OfferedAs, actor: string) => {
    const found = find(offered);
    if (!found) return t`No outfit has that template any more.`;
    if (offeredBy(offered.outfitId, offered.fieldSet).length === 1)
      return t`“${found.template.name}” is the only one the outfit has for these fields, so it stays. Import another first; nothing was changed.`;
    await wearing(offered, actor, t`Delete ${found.template.name}`, (ids) =>
      ids.filter((id) => id !== found.id),
    );
    return undefined;
  };

  const wear = async (offered: OfferedAs, actor: string) => {
    const found = find(offered);
    if (!found) return t`No outfit has that template any more.`;
    await wearing(offered, actor, t`Use ${found.template.name}`, (ids) => [
      found.id,
      ...ids.filter((id) => id !== found.id),
    ]);
    return undefined;
  };
  return { wardrobes, offer, whyNot, remove, wear };
}

function getDesign(designs: DesignStore, id: string): Design<"template"> {
  const design = designs.find("template", id);
  if (!design) throw new Error(`There is no template ${id}`);
  return design;
}
