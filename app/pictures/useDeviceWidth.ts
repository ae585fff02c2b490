import { type RefObject, useEffect, useState } from "react";

/** How many pixels of the monitor an element reaches over in its width; zero until it is known. */
export function useDeviceWidth(of: RefObject<HTMLElement | null>): number {
  const [widthPx, setWidthPx] = useState(0);
  useEffect(() => {
    if (!of.current) return;
    const observer = new ResizeObserver(([entry]) => {
      // Rounded down, a strip of what lies beneath would show at its edge; a hair past a pixel is none.
      if (entry) setWidthPx(Math.ceil(entry.contentRect.width * window.devicePixelRatio - 0.05));
    });
    observer.observe(of.current);
    return () => observer.disconnect();
  }, [of]);
  return widthPx;
}
