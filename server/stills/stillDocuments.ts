import type { PinnedDocument } from "../../core/rundown/pinnedDocument.ts";
import { wornAt } from "../../core/rundown/steps.ts";
import type { ShownPage } from "../../core/show/slot.ts";
import { picturesNamed } from "../../core/values/liveChain.ts";

/**
 * What a page is painted from: its content, what it may wear in an outfit on a screen of any shape, its media.
 * @returns undefined when the content is not there
 */
export function stillDocuments(
  page: ShownPage,
  outfitId: string,
  findDocument: (hash: string) => PinnedDocument | undefined,
): (readonly [hash: string, document: PinnedDocument])[] | undefined {
  const content = findDocument(page.content);
  if (content?.kind !== "page") return undefined;
  const worn = [outfitId, ...(content.variants[outfitId] ?? [])].flatMap((id) => {
    const at = wornAt(content, id, page.step);
    return at ? [at.template, at.style] : [];
  });
  const hashes = new Set([
    page.content,
    ...worn,
    ...content.media,
    ...Object.values(page.live ?? {}).flatMap(picturesNamed),
  ]);
  return [...hashes].flatMap((hash) => {
    const document = findDocument(hash);
    return document ? [[hash, document] as const] : [];
  });
}
