import { useEffect, useState } from "react";
import { DraftSaver, type SavedDraft, type SaverParts } from "./draftSaver.ts";
import { type DraftKinds, dropKeptDraft, findKeptDraft, keepDraft, openDraft } from "./keptDrafts.ts";

/**
 * The saver of the document that is open; what is not saved is saved when another is opened. What cannot be saved is kept by the
 * browser, over a page that is loaded again too, and sent when it can be.
 */
export function useDraftSaver<K extends keyof DraftKinds>(
  kind: K,
  id: string,
  saved: SavedDraft<DraftKinds[K]>,
  send: SaverParts<DraftKinds[K]>["send"],
): DraftSaver<DraftKinds[K]> {
  const [, redraw] = useState(0);
  const [saver] = useState(
    () =>
      new DraftSaver<DraftKinds[K]>(saved, {
        send: async (doc, revision) => {
          const outcome = await send(doc, revision);
          if (outcome.kind === "refused") keepDraft({ kind, id }, { doc, revision });
          else dropKeptDraft({ kind, id });
          return outcome;
        },
        onChange: () => redraw((n) => n + 1),
        later: (ms, work) => {
          const timer = setTimeout(work, ms);
          return () => clearTimeout(timer);
        },
      }),
  );
  useEffect(() => {
    const close = openDraft({ kind, id });
    const kept = findKeptDraft({ kind, id });
    if (kept) saver.resume(kept.doc, kept.revision);
    return () => void close();
  }, [saver, kind, id]);
  useEffect(() => saver.hear(saved), [saver, saved]);
  useEffect(() => {
    const flush = () => void saver.flush();
    window.addEventListener("pagehide", flush);
    return () => {
      window.removeEventListener("pagehide", flush);
      flush();
    };
  }, [saver]);
  return saver;
}
