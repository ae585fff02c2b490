import { useMemo, useState } from "react";
import { useNavigate } from "react-router";
import { heldCues } from "../../core/show/held.ts";
import { useDesk, useDeskStore, useServerTime } from "../desk/deskContext.ts";
import { NoticeBar } from "../desk/NoticeBar.tsx";
import type { DeskOutfit } from "../desk/outfit.ts";
import { EventStrip } from "./EventStrip.tsx";
import { KeyList } from "./KeyList.tsx";
import { Layers } from "./Layers.tsx";
import { Screens } from "./Screens.tsx";
import { Script } from "./Script.tsx";
import { StageNote } from "./StageNote.tsx";
import { TakeBar } from "./TakeBar.tsx";
import { useAirActs } from "./useAirActs.ts";
import { useAirKeys } from "./useAirKeys.ts";

/** The view the evening is run from: script, screens, layers, keys. */
export function RunView({
  outfits,
  outputTokens,
}: {
  outfits: readonly DeskOutfit[];
  outputTokens: Readonly<Record<string, string>>;
}) {
  const desk = useDesk();
  const store = useDeskStore();
  const navigate = useNavigate();
  const nowMs = useServerTime(250);
  const [isNoting, setIsNoting] = useState(false);
  const { state, mode, keys } = desk;
  const heldIds = useMemo(() => heldCues(state, desk.ready, nowMs ?? 0), [state, desk.ready, nowMs]);
  const own = useMemo(
    () => ({
      lock: () => store.setMode(store.getSnapshot().mode === "locked" ? "free" : "locked"),
      stageNote: () => setIsNoting(true),
      edit: () => {
        const { state: now } = store.getSnapshot();
        if (now.line.at) {
          store.choose(now.line.at.cueId);
          void navigate(`/prepare?edit=${encodeURIComponent(now.line.at.cueId)}`);
        }
      },
    }),
    [store, navigate],
  );
  const acts = useAirActs(store, mode, own);
  const held = useAirKeys(keys, acts);
  return (
    <div className="grid min-h-0 flex-1 grid-cols-[minmax(0,1fr)_480px] grid-rows-[minmax(0,1fr)_auto]">
      <main aria-label="Script" className="relative flex min-h-0 flex-col">
        <EventStrip desk={desk} nowMs={nowMs} />
        <div className="relative min-h-0 flex-1">
          <Script desk={desk} heldIds={heldIds} nowMs={nowMs} />
          <NoticeBar />
        </div>
        {isNoting && <StageNote onClose={() => setIsNoting(false)} />}
      </main>
      <aside aria-label="Screens" className="flex min-h-0 flex-col border-l border-edge bg-raised">
        {/* biome-ignore lint/a11y/noNoninteractiveTabindex: what scrolls must be reached by keys */}
        <div className="min-h-0 flex-1 overflow-y-auto" tabIndex={0}>
          <Screens
            desk={desk}
            outfits={outfits}
            outputTokens={outputTokens}
            heldIds={heldIds}
            nowMs={nowMs}
          />
        </div>
        <KeyList map={keys} />
      </aside>
      <Layers desk={desk} heldIds={heldIds} nowMs={nowMs} />
      <TakeBar desk={desk} map={keys} acts={acts} held={held} nowMs={nowMs} />
    </div>
  );
}
