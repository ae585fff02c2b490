import type { Compiled } from "../../core/rundown/compileContext.ts";
import { type PageContent, wornIn } from "../../core/rundown/content.ts";
import type { CueDoc } from "../../core/rundown/cueDoc.ts";
import type { PinnedDocument } from "../../core/rundown/pinnedDocument.ts";
import { type ContentStore, hashOf } from "../store/contentStore.ts";
import type { Rundown } from "./rundown.ts";

export type TriedOut =
  | { readonly hash: string; readonly documents: Readonly<Record<string, PinnedDocument>> }
  | Exclude<Compiled, { readonly content: PageContent }>;

/** What a cue would be, with everything needed to draw it. Nothing of it is kept. */
export function tryOut(
  { rundown, contents }: { readonly rundown: Rundown; readonly contents: ContentStore },
  doc: CueDoc,
): TriedOut {
  const compiled = rundown.tryOut(doc);
  if (!("content" in compiled)) return compiled;
  const { content } = compiled;
  const hash = hashOf(content);
  const documents: Record<string, PinnedDocument> = { [hash]: content };
  for (const needed of [...wornIn(content), ...content.media]) {
    const document = contents.find(needed);
    if (document) documents[needed] = document;
  }
  return { hash, documents };
}
