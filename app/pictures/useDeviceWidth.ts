import { type RefObject, useEffect, useState } from "react";

/** How wide an element is in pixels of the monitor; zero until it is known. */
export function useDeviceWidth(of: RefObject<HTMLElement | null>): number {
  const [widthPx, setWidthPx] = useState(0);
  useEffect(() => {
    if (!of.current) return;
    const observer = new ResizeObserver(([entry]) => {
      if (entry) setWidthPx(Math.round(entry.contentRect.width * window.devicePixelRatio));
    });
    observer.observe(of.current);
    return () => observer.disconnect();
  }, [of]);
  return widthPx;
}
