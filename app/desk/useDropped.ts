import { useEffect, useRef } from "react";
import { useDeskStore } from "./deskContext.ts";

/** Takes what was dropped for this view, when it opens and while it is open. */
export function useDropped(kind: string, take: (files: readonly File[]) => void): void {
  const { dropped } = useDeskStore();
  const latest = useRef(take);
  latest.current = take;
  useEffect(() => {
    const look = () => {
      const files = dropped.take(kind);
      if (files) latest.current(files);
    };
    look();
    return dropped.onHanded(look);
  }, [dropped, kind]);
}
