import { type RefObject, useLayoutEffect, useState } from "react";

/** The room inside an element, px; zero until it is known. */
export function useSize(of: RefObject<HTMLElement | null>): {
  readonly widthPx: number;
  readonly heightPx: number;
} {
  const [size, setSize] = useState({ widthPx: 0, heightPx: 0 });
  useLayoutEffect(() => {
    const element = of.current;
    if (!element) return;
    const look = () => {
      const widthPx = element.clientWidth;
      const heightPx = element.clientHeight;
      setSize((before) =>
        before.widthPx === widthPx && before.heightPx === heightPx ? before : { widthPx, heightPx },
      );
    };
    look();
    const observer = new ResizeObserver(look);
    observer.observe(element);
    return () => observer.disconnect();
  }, [of]);
  return size;
}
