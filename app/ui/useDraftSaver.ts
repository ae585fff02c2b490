import { useEffect, useState } from "react";
import { DraftSaver, type SavedDraft, type SaverParts } from "./draftSaver.ts";
import { dropKeptDraft, findKeptDraft, keepDraft, openDraft } from "./keptDrafts.ts";

/**
 * The saver of the document that is open; what is not saved is saved when another is opened. What cannot be saved is kept by the
 * browser, over a page that is loaded again too, and sent when it can be.
 * @param key what the document is known by among all kinds, such as "cue/ID"
 */
export function useDraftSaver<T>(
  key: string,
  saved: SavedDraft<T>,
  send: SaverParts<T>["send"],
): DraftSaver<T> {
  const [, redraw] = useState(0);
  const [saver] = useState(
    () =>
      new DraftSaver<T>(saved, {
        send: async (doc, revision) => {
          const outcome = await send(doc, revision);
          if (outcome.kind === "refused") keepDraft(key, { doc, revision });
          else dropKeptDraft(key);
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
    const close = openDraft(key);
    const kept = findKeptDraft(key);
    if (kept) saver.resume(kept.doc as T, kept.revision);
    return () => void close();
  }, [saver, key]);
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
