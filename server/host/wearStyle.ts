import { changesOf } from "../../core/design/designKinds.ts";
import { t } from "../../core/language/t.ts";
import type { HouseStyle } from "../../core/scene/houseStyle.ts";
import { findTypeface } from "../../designs/typefaces.ts";
import { type DesignStore, docOf } from "../store/designStore.ts";
import type { WornStyle } from "../store/showStore.ts";

interface Parts {
  readonly designs: DesignStore;
  readonly fonts: { readonly list: () => readonly { readonly id: string; readonly name: string }[] };
  readonly wearStyle: (style: WornStyle) => Promise<void>;
  readonly now: () => number;
}

/**
 * Dresses the whole show in one of the venue's styles; the air keeps the one that it was taken with.
 * @param roles role → what is set in it from now on: a typeface that ships, by name, or a font of the venue, by id
 * @returns the style, or a sentence when it cannot be worn
 */
export async function wearHouseStyle(
  { designs, fonts, wearStyle, now }: Parts,
  styleId: string,
  roles: Readonly<Record<string, string>>,
  actor: string,
): Promise<{ readonly style: HouseStyle } | { readonly problem: string }> {
  const design = designs.find("style", styleId);
  if (!design?.published)
    return { problem: t`That house style is not here any more. The show keeps the one it wears.` };
  let { published } = design;
  if (Object.keys(roles).length > 0) {
    const faces = { ...published.doc.fonts };
    for (const [role, wanted] of Object.entries(roles)) {
      const face = findTypeface(wanted, fonts.list());
      if (!Object.hasOwn(faces, role) || !face)
        return { problem: t`That font is not here any more. The show keeps the fonts it has.` };
      faces[role] = face;
    }
    const after = { ...docOf(design), fonts: faces };
    const label = t`Change fonts`;
    const how = { actor, label, atMs: now(), joins: false };
    const changed = await designs.change(design, changesOf("style", docOf(design), after), how);
    if ("problem" in changed) return changed;
    const next = await designs.publish(design, { actor, atMs: now(), note: label });
    if (next.published) published = next.published;
  }
  await wearStyle({ id: styleId, hash: published.hash, style: published.doc });
  return { style: published.doc };
}
