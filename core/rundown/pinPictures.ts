import { fieldKind } from "../scene/fieldKinds.ts";
import { pinCellPictures } from "./cellPictures.ts";
import type { CompileContext } from "./compileContext.ts";
import type { PageContent } from "./content.ts";

/**
 * Values that came from a feed with pictures named as the library knows them: by the hash of what is known of each. One that the
 * library lacks stays as it was named, so that the page shows its stand-in.
 */
export function pinPictures(
  { fieldSet, wardrobe }: Pick<PageContent, "fieldSet" | "wardrobe">,
  values: Readonly<Record<string, string>>,
  context: CompileContext,
): Readonly<Record<string, string>> {
  const named = { ...values };
  for (const { name, kind } of context.fieldSets.get(fieldSet)?.fields ?? []) {
    const value = named[name];
    if (value === undefined || fieldKind(kind).media === null) continue;
    named[name] = context.findMediaByName(value) ?? context.findMedia(value) ?? value;
  }
  return pinCellPictures({ values: named, media: [], wardrobe }, context).values;
}
