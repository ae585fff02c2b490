import { type RefObject, useCallback, useEffect, useLayoutEffect, useRef, useState } from "react";

/** Height of the reading line, as a part of the script's height. */
export const LINE_AT = 0.34;
const GLIDE_MS = 260;

/**
 * Keeps a step at the reading line. Scrolling away lets go of it until the next take, or until asked.
 * @param lineKey data-step of the step that stands at the line
 * @param nextKey data-step of what comes next: brought into sight when it is moved out of it
 */
export function useReadingLine(
  lineKey: string | undefined,
  nextKey: string | undefined,
): {
  scroller: RefObject<HTMLElement | null>;
  detached: boolean;
  reattach: () => void;
  roomAbovePx: number;
  roomBelowPx: number;
} {
  const scroller = useRef<HTMLElement>(null);
  const [detached, setDetached] = useState(false);
  const [heightPx, setHeightPx] = useState(600);
  const glide = useRef(0);
  const expectedTop = useRef(0);

  const glideTo = useCallback((top: number) => {
    const element = scroller.current;
    if (!element) return;
    cancelAnimationFrame(glide.current);
    const from = element.scrollTop;
    const target = Math.max(0, Math.min(top, element.scrollHeight - element.clientHeight));
    const isStill = matchMedia("(prefers-reduced-motion: reduce)").matches;
    const startedMs = performance.now();
    const frame = () => {
      const progress = isStill ? 1 : Math.min(1, (performance.now() - startedMs) / GLIDE_MS);
      const eased = 1 - (1 - progress) ** 3;
      element.scrollTop = from + (target - from) * eased;
      expectedTop.current = element.scrollTop;
      if (progress < 1) glide.current = requestAnimationFrame(frame);
      else glide.current = 0;
    };
    frame();
  }, []);

  const toLine = useCallback(() => {
    const element = scroller.current;
    const step = lineKey && element?.querySelector<HTMLElement>(`[data-step="${CSS.escape(lineKey)}"]`);
    if (element && step) glideTo(offsetIn(step, element) - element.clientHeight * LINE_AT);
  }, [lineKey, glideTo]);

  useLayoutEffect(() => {
    setDetached(false);
    toLine();
  }, [toLine]);

  // The arm may be moved far down the script: it must be seen.
  useEffect(() => {
    const element = scroller.current;
    const step = nextKey && element?.querySelector<HTMLElement>(`[data-step="${CSS.escape(nextKey)}"]`);
    if (!element || !step || glide.current !== 0) return;
    const top = offsetIn(step, element) - element.scrollTop;
    if (top >= 0 && top + step.offsetHeight <= element.clientHeight - 60) return;
    setDetached(true);
    glideTo(offsetIn(step, element) - element.clientHeight * 0.55);
  }, [nextKey, glideTo]);

  useEffect(() => {
    const element = scroller.current;
    if (!element) return;
    const observer = new ResizeObserver(() => setHeightPx(element.clientHeight));
    observer.observe(element);
    const onScroll = () => {
      if (glide.current === 0 && Math.abs(element.scrollTop - expectedTop.current) > 24) setDetached(true);
    };
    const onWheel = () => {
      cancelAnimationFrame(glide.current);
      glide.current = 0;
    };
    element.addEventListener("scroll", onScroll, { passive: true });
    element.addEventListener("wheel", onWheel, { passive: true });
    element.addEventListener("touchmove", onWheel, { passive: true });
    return () => {
      observer.disconnect();
      element.removeEventListener("scroll", onScroll);
      element.removeEventListener("wheel", onWheel);
      element.removeEventListener("touchmove", onWheel);
    };
  }, []);

  // A taller window moves the line.
  useLayoutEffect(() => {
    if (heightPx > 0) toLine();
  }, [heightPx, toLine]);

  const reattach = useCallback(() => {
    setDetached(false);
    toLine();
  }, [toLine]);

  return {
    scroller,
    detached,
    reattach,
    roomAbovePx: heightPx * LINE_AT,
    roomBelowPx: heightPx * (1 - LINE_AT) - 60,
  };
}

function offsetIn(element: HTMLElement, container: HTMLElement): number {
  return element.getBoundingClientRect().top - container.getBoundingClientRect().top + container.scrollTop;
}
