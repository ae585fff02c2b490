import { useEffect, useRef } from "react";
import { t } from "../../core/language/t.ts";
import type { Anchor } from "../../core/rundown/anchor.ts";
import { useDesk, useDeskStore } from "../desk/deskContext.ts";
import { useActor } from "../desk/useActor.ts";
import { CueEditor } from "../prepare/forms/CueEditor.tsx";
import { editorId } from "../prepare/forms/editorId.ts";
import { CloseButton } from "../ui/CloseButton.tsx";

/** The cue on air, opened beside the script: its words are mended without leaving the air. */
export function RunEditor({
  cueId,
  caretAt,
  onClose,
}: {
  cueId: string;
  caretAt: Anchor;
  onClose: () => void;
}) {
  const store = useDeskStore();
  const actor = useActor(store.windowId);
  const pane = useRef<HTMLElement>(null);
  const { cues } = useDesk("cues");
  const cue = cues.find(({ view }) => view.cueId === cueId);
  useEffect(() => document.getElementById(editorId(cueId))?.focus(), [cueId]);
  if (!cue) return null;
  return (
    <section
      ref={pane}
      aria-label={t`Edit what is on air`}
      className="flex max-h-[62%] min-h-40 shrink-0 flex-col border-t-2 border-act bg-raised"
      onKeyDown={(event) => {
        if (event.key !== "Escape" || event.defaultPrevented) return;
        event.preventDefault();
        event.stopPropagation();
        onClose();
      }}
    >
      <header className="flex items-center gap-3 px-4 py-1.5 text-[15px]">
        <h2 className="min-w-24 truncate font-semibold">{cue.title}</h2>
        <p className="truncate py-1 text-second">
          {t`${cue.view.doc.isLive ? t`every save goes on air` : t`held until it is sent`} · with`}{" "}
          <kbd>Ctrl+Shift</kbd>: <kbd>O</kbd> {t`out,`} <kbd>K</kbd> {t`black`}
        </p>
        <CloseButton label={t`Close the editor`} onClose={onClose} />
      </header>
      <div className="min-h-0 overflow-y-auto px-4 pb-3">
        <CueEditor key={cueId} cue={cue} actor={actor} caretAt={caretAt} onAnchor={() => undefined} />
      </div>
    </section>
  );
}
