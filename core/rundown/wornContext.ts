import { type Template, templateKey } from "../scene/template.ts";
import type { CompileContext, OfferedTemplate } from "./compileContext.ts";
import type { Hash, PageContent } from "./content.ts";
import type { PinnedDocument } from "./pinnedDocument.ts";

/**
 * The context in which a cue is made anew and yet keeps what its content on air wears: the very style and templates that are
 * pinned there, in place of those of the same names that new takes wear.
 * @param find a document by its hash; where one is not known any more, the context's own holds
 */
export function wornContext(
  { wardrobe, endPage }: PageContent,
  context: CompileContext,
  find: (hash: Hash) => PinnedDocument | undefined,
): CompileContext {
  const pinned = new Map<string, OfferedTemplate>();
  let { style } = context;
  for (const worn of [wardrobe, endPage?.wardrobe ?? {}])
    for (const [outfitId, { template: hash, style: styleHash }] of Object.entries(worn)) {
      const template = find(hash);
      if (template?.kind === "template") pinned.set(placeOf(outfitId, template), { hash, template });
      const wornStyle = find(styleHash);
      if (wornStyle?.kind === "style") style = { hash: styleHash, style: wornStyle };
    }
  const wardrobes = context.wardrobes.map((offering) => ({
    ...offering,
    templates: new Map(
      [...offering.templates].map(([fieldSet, offered]) => [
        fieldSet,
        offered.map((each) => pinned.get(placeOf(offering.outfitId, each.template)) ?? each),
      ]),
    ),
  }));
  return { ...context, style, wardrobes };
}

/** Keys of templates are their own within an outfit and a field set. */
const placeOf = (outfitId: string, template: Template): string =>
  JSON.stringify([outfitId, template.fieldSet, templateKey(template)]);
