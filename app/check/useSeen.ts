import { useCallback, useEffect, useRef, useState } from "react";
import { ask, call } from "../api/call.ts";
import { useDesk, useDeskStore } from "../desk/deskContext.ts";

/** The steps of the open evening that were looked at, by their keys, and how they are ticked. */
export function useSeen() {
  const store = useDeskStore();
  const { evening } = useDesk("evening");
  const [keys, setKeys] = useState<ReadonlySet<string>>(new Set());
  /** What this window has ticked or unticked: an answer that was asked for before knows nothing of it. */
  const own = useRef(new Map<string, boolean>());
  // biome-ignore lint/correctness/useExhaustiveDependencies: each evening has its own
  useEffect(() => {
    let isGone = false;
    own.current.clear();
    const read = () =>
      void ask("/seen", "").then((answer) => {
        if (isGone || !("value" in answer)) return;
        const told = new Set(answer.value.keys);
        for (const [key, isSeen] of own.current)
          if (isSeen) told.add(key);
          else told.delete(key);
        setKeys(told);
      });
    read();
    // Another desk may have ticked meanwhile.
    window.addEventListener("focus", read);
    return () => {
      isGone = true;
      window.removeEventListener("focus", read);
    };
  }, [evening.id]);
  const set = useCallback(
    async (key: string, isSeen: boolean) => {
      own.current.set(key, isSeen);
      setKeys((before) => {
        const next = new Set(before);
        if (isSeen) next.add(key);
        else next.delete(key);
        return next;
      });
      const answer = await call("/seen", { keys: [key], isSeen });
      if ("problem" in answer) store.say("trouble", answer.problem.sentence);
    },
    [store],
  );
  return { keys, set };
}
