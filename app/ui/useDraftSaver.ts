import { useEffect, useState } from "react";
import { DraftSaver, type SavedDraft, type SaverParts } from "./draftSaver.ts";

/** The saver of the document that is open; what is not saved is saved when another is opened. */
export function useDraftSaver<T>(saved: SavedDraft<T>, send: SaverParts<T>["send"]): DraftSaver<T> {
  const [, redraw] = useState(0);
  const [saver] = useState(
    () =>
      new DraftSaver<T>(saved, {
        send,
        onChange: () => redraw((n) => n + 1),
        later: (ms, work) => {
          const timer = setTimeout(work, ms);
          return () => clearTimeout(timer);
        },
      }),
  );
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
