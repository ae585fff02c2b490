import type { PinnedDocument } from "../../core/rundown/pinnedDocument.ts";
import { wornBy } from "../host/showHost.ts";
import type { ContentStore } from "../store/contentStore.ts";
import { type LiveWindow, send } from "./window.ts";

/** Sends the documents behind these hashes, and what they wear, unless this window has them. @returns those that it had not */
export function sendDocuments(
  window: LiveWindow,
  contents: ContentStore,
  hashes: Iterable<string>,
): PinnedDocument[] {
  const documents: Record<string, PinnedDocument> = {};
  for (const hash of hashes) {
    for (const wanted of [hash, ...wornBy(contents, hash)]) {
      if (window.sent.has(wanted)) continue;
      const document = contents.find(wanted);
      if (!document) continue;
      documents[wanted] = document;
      window.sent.add(wanted);
    }
  }
  const fresh = Object.values(documents);
  if (fresh.length > 0) send(window, { kind: "documents", documents });
  return fresh;
}

/** Has an output forget the documents of what was shown long ago. @param wanted contents on air, or that may be taken soon */
export function letGo(window: LiveWindow, contents: ContentStore, wanted: readonly string[]): void {
  const kept = new Set(wanted.flatMap((hash) => [hash, ...wornBy(contents, hash)]));
  for (const hash of window.sent) if (!kept.has(hash)) window.sent.delete(hash);
  send(window, { kind: "keep", hashes: [...kept] });
}
