import { useMemo } from "react";
import { isFilled, pagesOn } from "../../core/show/layers.ts";
import { useDesk, useDeskStore, useServerTime } from "../desk/deskContext.ts";
import { NoticeBar } from "../desk/NoticeBar.tsx";
import type { DeskOutfit } from "../desk/outfit.ts";
import { KeyList } from "./KeyList.tsx";
import { Layers } from "./Layers.tsx";
import { Screens } from "./Screens.tsx";
import { Script } from "./Script.tsx";
import { TakeBar } from "./TakeBar.tsx";
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
  const nowMs = useServerTime(250);
  const { state } = desk;
  /** The layer "out" would clear: where the last take went if it is still filled, else the topmost passing one. */
  const outLayer = useMemo(() => {
    const atMs = nowMs ?? 0;
    const filled = state.layers.filter(({ id }) => isFilled(state, id, atMs));
    const position = state.position;
    const last = filled.find(({ id }) =>
      [...pagesOn(state, id, atMs).values()].some((page) => page?.cueId === position?.cueId),
    );
    return last ?? filled.filter(({ persistent }) => !persistent).at(-1);
  }, [state, nowMs]);
  const held = useAirKeys(store, state.layers, outLayer?.id);
  return (
    <div className="grid min-h-0 flex-1 grid-cols-[minmax(0,1fr)_480px] grid-rows-[minmax(0,1fr)_auto]">
      <main aria-label="Script" className="relative min-h-0">
        <Script desk={desk} nowMs={nowMs} />
        <NoticeBar />
      </main>
      <aside aria-label="Screens" className="flex min-h-0 flex-col border-l border-edge bg-raised">
        {/* biome-ignore lint/a11y/noNoninteractiveTabindex: what scrolls must be reached by keys */}
        <div className="min-h-0 flex-1 overflow-y-auto" tabIndex={0}>
          <Screens desk={desk} outfits={outfits} outputTokens={outputTokens} nowMs={nowMs} />
        </div>
        <KeyList />
      </aside>
      <Layers desk={desk} nowMs={nowMs} />
      <TakeBar desk={desk} outLayerId={outLayer?.id} outLayerName={outLayer?.name} held={held} />
    </div>
  );
}
