import { useMemo, useRef, useState } from "react";
import { disableGlobalCursorStyles, Panel, PanelGroup, PanelResizeHandle } from "react-resizable-panels";
import { t } from "../../core/language/t.ts";
import type { Anchor } from "../../core/rundown/anchor.ts";
import { useDesk, useDeskStore } from "../desk/deskContext.ts";
import { NoticeBar } from "../desk/NoticeBar.tsx";
import { useAirActs } from "../desk/useAirActs.ts";
import { useAirKeys } from "../desk/useAirKeys.ts";
import { usePadLights } from "../desk/usePadLights.ts";
import { useMedia } from "../pictures/useMedia.ts";
import { ByItself } from "./ByItself.tsx";
import { ClipStrip } from "./ClipStrip.tsx";
import { EventStrip } from "./EventStrip.tsx";
import { KeyList } from "./KeyList.tsx";
import { Layers } from "./Layers.tsx";
import { RunEditor } from "./RunEditor.tsx";
import { ScreenChooser } from "./ScreenChooser.tsx";
import { Screens } from "./Screens.tsx";
import { Script } from "./Script.tsx";
import { StageNote } from "./StageNote.tsx";
import { TakeBar } from "./TakeBar.tsx";

// Its way to change the pointer writes a style sheet, which the pages' policy does not let in.
disableGlobalCursorStyles();

/** Below this the view is one column. */
export const ONE_COLUMN = "(max-width: 1100px)";
/** From here on the screens take half of the width, unless the split was dragged. */
const WIDE = "(min-width: 1440px)";

/** The view the evening is run from: script, screens, layers, keys. */
export function RunView() {
  const { mode, venue } = useDesk("mode", "venue");
  const store = useDeskStore();
  const isOneColumn = useMedia(ONE_COLUMN);
  const isWide = useMedia(WIDE);
  const [isNoting, setIsNoting] = useState(false);
  const [editing, setEditing] = useState<{ readonly cueId: string; readonly at: Anchor } | null>(null);
  const editButton = useRef<HTMLElement | null>(null);
  const own = useMemo(
    () => ({
      lock: () => store.setMode(store.getSnapshot().mode === "locked" ? "free" : "locked"),
      stageNote: () => setIsNoting(true),
      edit: () => {
        const { at } = store.getSnapshot().state.line;
        editButton.current = document.activeElement instanceof HTMLElement ? document.activeElement : null;
        if (at) setEditing({ cueId: at.cueId, at: at.step });
        else store.say("word", t`Nothing has been taken yet, so there is nothing on air to edit.`);
      },
    }),
    [store],
  );
  const acts = useAirActs(store, mode, own);
  const held = useAirKeys(venue.keys, acts, false, (key) => store.air.press({ kind: "pad", key }));
  usePadLights();
  const closeEditor = () => {
    setEditing(null);
    if (editButton.current?.isConnected) editButton.current.focus();
  };
  const script = (
    <main aria-label={t`Script`} className="relative flex min-h-0 flex-1 flex-col">
      <EventStrip />
      <div className="relative min-h-0 flex-1">
        <Script />
        <NoticeBar />
      </div>
      {editing && <RunEditor cueId={editing.cueId} caretAt={editing.at} onClose={closeEditor} />}
      {isNoting && <StageNote onClose={() => setIsNoting(false)} />}
    </main>
  );
  const takeBar = <TakeBar map={venue.keys} acts={acts} held={held} />;
  const layers = <Layers />;
  if (isOneColumn)
    return (
      <div className="flex min-h-0 flex-1 flex-col">
        {script}
        <ScreenChooser />
        <ClipStrip />
        <ByItself />
        {layers}
        {takeBar}
      </div>
    );
  return (
    <PanelGroup
      key={isWide ? "wide" : "usual"}
      direction="horizontal"
      autoSaveId={`vesko-run-${isWide ? "wide" : "usual"}`}
      className="min-h-0 flex-1"
    >
      <Panel defaultSize={isWide ? 47 : 62.5} minSize={30} className="flex min-h-0 flex-col">
        {script}
        <div className="h-[132px] shrink-0">{layers}</div>
      </Panel>
      <section aria-label={t`Between script and screens`} className="flex shrink-0">
        <PanelResizeHandle
          aria-label={t`Width of the script`}
          data-own-keys="the split"
          className="w-1.5 bg-edge hover:bg-act data-[resize-handle-state=drag]:bg-act"
        />
      </section>
      <Panel minSize={25} className="flex min-h-0 flex-col bg-raised">
        <aside aria-label={t`Screens`} className="flex min-h-0 flex-1 flex-col">
          <div className="min-h-0 flex-1">
            <Screens />
          </div>
          <ClipStrip />
          <ByItself />
          <KeyList map={venue.keys} />
        </aside>
        <div className="flex h-[132px] shrink-0 flex-col *:flex-1">{takeBar}</div>
      </Panel>
    </PanelGroup>
  );
}
