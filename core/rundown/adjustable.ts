import { adjustedAs } from "../scene/adjust.ts";
import { allObjects } from "../scene/template.ts";
import type { PageContent } from "./content.ts";
import type { Documents } from "./pinnedDocument.ts";

/** A part of a page that can be moved, sized or left out for this page alone. */
export interface Adjustable {
  /** What it is adjusted by: its field, or its own name after a "#". */
  readonly key: string;
  /** As the designer calls it. */
  readonly name: string;
  /** It is heard: how loud, and whether it begins again, can be said too. */
  readonly isHeard: boolean;
  /** It is shown on a condition, which a page may set aside. */
  readonly isRuled: boolean;
}

/** The parts of all templates that a content wears, each once, in the order in which they lie. */
export function adjustableParts(
  { wardrobe }: Pick<PageContent, "wardrobe">,
  documents: Documents,
): Adjustable[] {
  const parts = new Map<string, Adjustable>();
  for (const { template: hash } of Object.values(wardrobe)) {
    const template = documents.get(hash);
    if (template?.kind !== "template") continue;
    for (const { object, parentId } of allObjects(template)) {
      // What is in a group goes along with it; its texts and pictures are adjusted by their fields all the same.
      const key = adjustedAs(object);
      if (parts.has(key) || (parentId !== null && key.startsWith("#"))) continue;
      const isHeard = object.kind === "video" || object.kind === "sound";
      const { showWhen } = object;
      // With nothing in its own field there is nothing to show, whatever is said.
      const isOwnField = showWhen.kind === "notEmpty" && showWhen.field === key;
      const isRuled = showWhen.kind !== "always" && !isOwnField;
      parts.set(key, { key, name: object.editing.name || object.id, isHeard, isRuled });
    }
  }
  return [...parts.values()];
}
