import { useEffect, useState } from "react";
import type { ShowState } from "../../core/show/state.ts";
import { staysEndAt } from "../../core/show/stay.ts";
import { useDesk, useDeskStore } from "./deskContext.ts";

/**
 * The server's time by which what is on air is told: it moves on only when a page leaves by itself, so that nothing is drawn anew
 * while nothing comes or goes. Null until the page is alive.
 */
export function usePresentTime(): number | null {
  const store = useDeskStore();
  const { state } = useDesk("state");
  const [presentMs, setPresentMs] = useState<number | null>(null);
  useEffect(() => {
    let timer: ReturnType<typeof setTimeout> | undefined;
    const look = () => {
      const nowMs = store.now();
      setPresentMs((before) => (before === null || isEndBetween(state, before, nowMs) ? nowMs : before));
      const nextMs = Math.min(...staysEndAt(state).filter((endMs) => endMs > nowMs));
      if (Number.isFinite(nextMs)) timer = setTimeout(look, Math.min(nextMs - nowMs + 1, LONGEST_TIMER_MS));
    };
    look();
    return () => clearTimeout(timer);
  }, [store, state]);
  return presentMs;
}

const LONGEST_TIMER_MS = 60_000;

const isEndBetween = (state: ShowState, fromMs: number, untilMs: number): boolean =>
  staysEndAt(state).some((endMs) => endMs > fromMs && endMs <= untilMs);
