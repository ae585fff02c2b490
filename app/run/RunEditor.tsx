import { X } from "lucide-react";
import { useEffect, useRef } from "react";
import type { Anchor } from "../../core/rundown/anchor.ts";
import { useDeskStore } from "../desk/deskContext.ts";
import type { DeskCue } from "../desk/deskCues.ts";
import type { DeskOutfit } from "../desk/outfit.ts";
import { useActor } from "../desk/useActor.ts";
import { CueEditor } from "../prepare/CueEditor.tsx";
import { editorId } from "../prepare/editorId.ts";
import { cueTitle } from "../ui/cueWords.ts";

/** The cue on air, opened beside the script: its words are mended without leaving the air. */
export function RunEditor({
  cue,
  caretAt,
  outfits,
  onClose,
}: {
  cue: DeskCue;
  caretAt: Anchor;
  outfits: readonly DeskOutfit[];
  onClose: () => void;
}) {
  const store = useDeskStore();
  const actor = useActor(store.windowId);
  const pane = useRef<HTMLElement>(null);
  const { cueId } = cue.view;
  useEffect(() => document.getElementById(editorId(cueId))?.focus(), [cueId]);
  return (
    <section
      ref={pane}
      aria-label="Edit what is on air"
      className="flex max-h-[62%] min-h-40 shrink-0 flex-col border-t-2 border-act bg-raised"
      onKeyDown={(event) => {
        if (event.key !== "Escape" || event.defaultPrevented) return;
        event.preventDefault();
        event.stopPropagation();
        onClose();
      }}
    >
      <header className="flex items-center gap-3 px-4 py-2 text-[15px]">
        <h2 className="truncate font-semibold">{cueTitle(cue.view.doc, cue.ready?.content)}</h2>
        <p className="truncate text-second">
          {cue.view.doc.isLive ? "every save goes on air" : "held until it is sent"} · <kbd>Ctrl+Enter</kbd>{" "}
          takes · <kbd>Ctrl+Shift</kbd> and a key: <kbd>O</kbd> out, <kbd>K</kbd> black · <kbd>Esc</kbd>{" "}
          closes
        </p>
        <button
          type="button"
          aria-label="Close the editor"
          onClick={onClose}
          className="ml-auto grid size-8 shrink-0 place-content-center rounded text-second hover:bg-lifted hover:text-paper"
        >
          <X aria-hidden="true" className="size-4" />
        </button>
      </header>
      <div className="min-h-0 overflow-y-auto px-4 pb-3">
        <CueEditor
          key={cueId}
          cue={cue}
          outfits={outfits}
          actor={actor}
          caretAt={caretAt}
          onAnchor={() => undefined}
        />
      </div>
    </section>
  );
}
