import { useEffect, useRef, useState } from "react";
import type { Output } from "../../core/venue/plan.ts";
import { useDeskStore } from "./deskContext.ts";
import { describeHealth, type HealthFacts } from "./outputHealth.ts";

const LOOK_EVERY_MS = 500;

/** How a screen does; a new object only when it does otherwise, however many reports come. */
export function useHealthFacts(output: Output): HealthFacts {
  const store = useDeskStore();
  const read = (nowMs: number | null) =>
    describeHealth(
      output,
      store.getSnapshot().screens.find(({ outputId }) => outputId === output.id),
      nowMs,
    );
  const latest = useRef(read);
  latest.current = read;
  const [facts, setFacts] = useState(() => read(null));
  useEffect(() => {
    const look = () => {
      const now = latest.current(store.now());
      setFacts((before) => (JSON.stringify(before) === JSON.stringify(now) ? before : now));
    };
    look();
    const timer = setInterval(look, LOOK_EVERY_MS);
    return () => clearInterval(timer);
  }, [store]);
  return facts;
}
