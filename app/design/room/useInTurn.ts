import { useEffect, useState } from "react";

/** How many of so many things may be there by now: one more with each picture of the browser, so that none waits for all. */
export function useInTurn(count: number): number {
  const [shown, setShown] = useState(0);
  useEffect(() => {
    if (shown >= count) return;
    const frame = requestAnimationFrame(() => setShown(shown + 1));
    return () => cancelAnimationFrame(frame);
  }, [shown, count]);
  return shown;
}
