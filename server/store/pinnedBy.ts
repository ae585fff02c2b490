import { wornIn } from "../../core/rundown/content.ts";
import type { PinnedDocument } from "../../core/rundown/pinnedDocument.ts";
import { mediaNamedBy } from "../../core/scene/templateMedia.ts";

/** Templates, styles, pictures, clips and sounds that a document needs to be drawn. */
export function pinnedBy(document: PinnedDocument | undefined): readonly string[] {
  switch (document?.kind) {
    case "page":
      return [...wornIn(document), ...document.media];
    case "template":
      return mediaNamedBy(document);
    default:
      return [];
  }
}
