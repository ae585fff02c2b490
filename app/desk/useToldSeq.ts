import { type RefObject, useEffect, useRef } from "react";
import type { DeskStore } from "./deskStore.ts";

/**
 * Has the element of the desk say what this desk knows, as screens say it: `data-seq` is the last event that it was told of, on
 * the air; without it the desk is not heard, or rehearses.
 */
export function useToldSeq(store: DeskStore): RefObject<HTMLDivElement | null> {
  const element = useRef<HTMLDivElement>(null);
  useEffect(() => {
    const tell = () => {
      const { state, status, channel } = store.getSnapshot();
      const { dataset } = element.current ?? {};
      if (!dataset) return;
      if (status.kind === "open" && channel === "air") dataset.seq = `${state.seq}`;
      else delete dataset.seq;
    };
    tell();
    return store.subscribe(tell);
  }, [store]);
  return element;
}
