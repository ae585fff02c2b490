import { useEffect, useRef, useState } from "react";

/** A value that changes often, as it is at most so often: the first at once, the last in any case. */
export function useThrottled<T>(value: T, everyMs: number): T {
  const [shown, setShown] = useState(value);
  const shownAtMs = useRef(Number.NEGATIVE_INFINITY);
  useEffect(() => {
    const show = () => {
      shownAtMs.current = performance.now();
      setShown(value);
    };
    const timer = setTimeout(show, Math.max(0, shownAtMs.current + everyMs - performance.now()));
    return () => clearTimeout(timer);
  }, [value, everyMs]);
  return shown;
}
