import { useEffect, useState } from "react";
import type { CueView } from "../../core/rundown/edits.ts";
import { CueSaver } from "./cueSaver.ts";
import { saveEdit } from "./saveEdit.ts";

/** The saver of the cue that is open; what is not saved is saved when another is opened. */
export function useCueSaver(view: CueView, actor: string): CueSaver {
  const [, redraw] = useState(0);
  const [saver] = useState(
    () =>
      new CueSaver(view, {
        send: (edit) => saveEdit(actor, edit),
        onChange: () => redraw((n) => n + 1),
        later: (ms, work) => {
          const timer = setTimeout(work, ms);
          return () => clearTimeout(timer);
        },
      }),
  );
  useEffect(() => saver.hear(view), [saver, view]);
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
