import { createContext, useContext, useEffect, useState, useSyncExternalStore } from "react";
import { Drawing } from "../live/drawing.ts";
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

const drawings = new WeakMap<DeskStore, Promise<Drawing>>();

/** How pictures are drawn in this window; undefined until the fonts are here. */
export function useDrawing(): Drawing | undefined {
  const store = useDeskStore();
  const [drawing, setDrawing] = useState<Drawing>();
  useEffect(() => {
    let gone = false;
    let loading = drawings.get(store);
    if (!loading) {
      loading = Drawing.load(store.documents, store.getSnapshot().state.timeZone);
      loading.then((drawing) => store.onDocument((document) => drawing.look(document))).catch(() => {});
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
