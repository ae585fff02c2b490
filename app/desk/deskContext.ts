import { createContext, useContext, useEffect, useState, useSyncExternalStore } from "react";
import type { Dress } from "../../core/screens/compose.ts";
import { createDresser } from "../../core/screens/dress.ts";
import { FALLBACK_FONTS } from "../../core/text/fontList.ts";
import type { Shaper } from "../../core/text/shaper.ts";
import { loadShaper } from "../live/shaper.ts";
import type { DeskSnapshot, DeskStore } from "./deskStore.ts";

export const DeskContext = createContext<DeskStore | null>(null);

export function useDeskStore(): DeskStore {
  const store = useContext(DeskContext);
  if (!store) throw new Error("A desk view stands outside the desk");
  return store;
}

/** What the desk knows now; a new object whenever any of it changes. */
export function useDesk(): DeskSnapshot {
  const store = useDeskStore();
  return useSyncExternalStore(store.subscribe, store.getSnapshot, store.getSnapshot);
}

/** How pictures are drawn in this window; undefined until the fonts are here. */
export interface Drawing {
  readonly shaper: Shaper;
  readonly dress: Dress;
}

const drawings = new WeakMap<DeskStore, Promise<Drawing>>();

export function useDrawing(): Drawing | undefined {
  const store = useDeskStore();
  const [drawing, setDrawing] = useState<Drawing>();
  useEffect(() => {
    let gone = false;
    let loading = drawings.get(store);
    if (!loading) {
      loading = loadShaper().then((shaper) => ({
        shaper,
        dress: createDresser(store.documents, shaper, FALLBACK_FONTS),
      }));
      drawings.set(store, loading);
      loading.catch(() => {
        drawings.delete(store);
        store.say(
          "trouble",
          "The fonts could not be loaded, so this desk shows no pictures. The outputs are as they were; load this page again.",
        );
      });
    }
    loading.then((loaded) => !gone && setDrawing(loaded)).catch(() => {});
    return () => {
      gone = true;
    };
  }, [store]);
  return drawing;
}

/** Server time, again every so many ms; null until the page is alive, so that both renders agree. */
export function useServerTime(everyMs: number): number | null {
  const store = useDeskStore();
  const [nowMs, setNowMs] = useState<number | null>(null);
  useEffect(() => {
    const tick = () => setNowMs(store.now());
    tick();
    const timer = setInterval(tick, everyMs);
    return () => clearInterval(timer);
  }, [store, everyMs]);
  return nowMs;
}
