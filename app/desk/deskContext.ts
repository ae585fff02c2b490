import { createContext, useContext, useEffect, useRef, useState, useSyncExternalStore } from "react";
import { t } from "../../core/language/t.ts";
import { Drawing } from "../live/drawing.ts";
import type { DeskSnapshot } from "./deskSnapshot.ts";
import type { DeskStore } from "./deskStore.ts";

export const DeskContext = createContext<DeskStore | null>(null);

export function useDeskStore(): DeskStore {
  const store = useContext(DeskContext);
  if (!store) throw new Error("A desk view stands outside the desk");
  return store;
}

/** These parts of what the desk knows now; a new object only when one of them changes, so that nothing else draws anew. */
export function useDesk<K extends keyof DeskSnapshot>(...parts: readonly [K, ...K[]]): Pick<DeskSnapshot, K> {
  const store = useDeskStore();
  const picked = useRef<Pick<DeskSnapshot, K>>(undefined);
  const pick = () => {
    const now = store.getSnapshot();
    const before = picked.current;
    if (before && parts.every((part) => part in before && before[part] === now[part])) return before;
    const next = Object.fromEntries(parts.map((part) => [part, now[part]])) as Pick<DeskSnapshot, K>;
    picked.current = next;
    return next;
  };
  return useSyncExternalStore(store.subscribe, pick, pick);
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
      loading
        .then((drawing) => {
          store.onDocument((document) => drawing.loadFontsFor(document));
          store.onValues((values) => drawing.loadFontsForValues(values));
        })
        .catch(() => {});
      drawings.set(store, loading);
      loading.catch(() => {
        drawings.delete(store);
        store.say(
          "trouble",
          t`The fonts could not be loaded, so this desk shows no pictures. The outputs are as they were; load this page again.`,
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

/** How often what depends on the time is looked at. */
const LOOK_EVERY_MS = 250;

/**
 * What is read off the server's time, such as a text that counts: looked at often, drawn anew only when it reads otherwise.
 * @param read gives a text or a number, so that the same can be told from another
 * @returns null until the page is alive
 */
export function useReading<T extends string | number | boolean | null>(read: (nowMs: number) => T): T | null {
  const store = useDeskStore();
  const latest = useRef(read);
  latest.current = read;
  const [reading, setReading] = useState<T | null>(null);
  useEffect(() => {
    const look = () => setReading(latest.current(store.now()));
    look();
    const timer = setInterval(look, LOOK_EVERY_MS);
    return () => clearInterval(timer);
  }, [store]);
  // What it is read from may have changed since it was looked at.
  const isAlive = reading !== null;
  return isAlive ? read(store.now()) : null;
}

/** Whether the page is alive: what the server does not know of this window is shown from then on. */
export function useIsAlive(): boolean {
  const [isAlive, setIsAlive] = useState(false);
  useEffect(() => setIsAlive(true), []);
  return isAlive;
}
