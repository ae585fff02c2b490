import { wornIn } from "../../core/rundown/content.ts";
import type { PinnedDocument } from "../../core/rundown/pinnedDocument.ts";

/** Templates, styles, pictures and clips that a document needs to be drawn. */
export const pinnedBy = (document: PinnedDocument | undefined): readonly string[] =>
  document?.kind === "page" ? [...wornIn(document), ...document.media] : [];
