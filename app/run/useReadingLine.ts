import { type RefObject, useCallback, useEffect, useLayoutEffect, useRef, useState } from "react";

/** Height of the reading line, as a part of the script's height. */
const LINE_AT = 0.34;
/** A script lower than this, as on a phone, has its line near the top: what comes next is to be seen below it. */
const LOW_PX = 420;
const LINE_AT_LOW = 0.06;
/** As much of the next step as must be in sight there: its first line. */
const FIRST_LINE_PX = 44;
const GLIDE_MS = 260;
/** Where the next step is brought into sight when it lies outside. */
const NEXT_AT = 0.55;
/** Off the line by more than this, px, somebody has scrolled. */
const LOOSE_PX = 24;

export interface ReadingLine {
  /** Its height, as a part of the script's. */
  readonly at: number;
  readonly detached: boolean;
  readonly reattach: () => void;
  /** Room above the first and below the last step, so that both can stand at the line. */
  readonly roomAbovePx: number;
  readonly roomBelowPx: number;
}

/**
 * Keeps a step at the reading line. Scrolling away lets go of it until the next take, or until asked.
 * @param lineKey data-step of the step that stands at the line
 * @param nextKey data-step of what comes next: brought into sight when it is moved out of it
 * @param lineTopPx where the cue of the line's step begins in the script: moves as cues above it are measured
 */
export function useReadingLine(
  scroller: RefObject<HTMLElement | null>,
  lineKey: string | undefined,
  nextKey: string | undefined,
  lineTopPx: number | undefined,
): ReadingLine {
  const [detached, setDetached] = useState(false);
  const [heightPx, setHeightPx] = useState(600);
  const lineAt = heightPx < LOW_PX ? LINE_AT_LOW : LINE_AT;
  const glide = useRef(0);
  const isAttached = useRef(true);
  const isAlive = useRef(false);

  const detach = useCallback((isDetached: boolean) => {
    isAttached.current = !isDetached;
    setDetached(isDetached);
  }, []);

  /** Where the script must be scrolled to for a step to stand at a part of its height; undefined when it is not there. */
  const topFor = useCallback(
    (key: string | undefined, at: number): number | undefined => {
      const element = scroller.current;
      const step = key && element?.querySelector<HTMLElement>(`[data-step="${CSS.escape(key)}"]`);
      if (!element || !step) return undefined;
      const top = offsetIn(step, element) - element.clientHeight * at;
      return Math.max(0, Math.min(top, element.scrollHeight - element.clientHeight));
    },
    [scroller],
  );

  const stop = useCallback(() => {
    cancelAnimationFrame(glide.current);
    glide.current = 0;
  }, []);

  /** Glides until the step stands there, wherever it is moved to meanwhile. */
  const glideTo = useCallback(
    (key: string | undefined, at: number, isSudden = false) => {
      const element = scroller.current;
      const first = topFor(key, at);
      if (!element || first === undefined) return;
      stop();
      const reach = element.clientHeight;
      // From far away only the last stretch is shown.
      const from = Math.max(first - reach, Math.min(first + reach, element.scrollTop));
      const isStill = isSudden || matchMedia("(prefers-reduced-motion: reduce)").matches;
      const startedMs = performance.now();
      const frame = () => {
        const progress = isStill ? 1 : Math.min(1, (performance.now() - startedMs) / GLIDE_MS);
        const eased = 1 - (1 - progress) ** 3;
        element.scrollTop = from + ((topFor(key, at) ?? first) - from) * eased;
        glide.current = progress < 1 ? requestAnimationFrame(frame) : 0;
      };
      frame();
    },
    [scroller, topFor, stop],
  );

  useLayoutEffect(() => {
    detach(false);
    glideTo(lineKey, lineAt, !isAlive.current);
    isAlive.current = true;
  }, [lineKey, lineAt, glideTo, detach]);

  // A taller window moves the line, and so do cues above it whose height becomes known.
  // biome-ignore lint/correctness/useExhaustiveDependencies: for as long as both are the same nothing moves
  useLayoutEffect(() => {
    const top = topFor(lineKey, lineAt);
    if (isAttached.current && glide.current === 0 && top !== undefined && scroller.current)
      scroller.current.scrollTop = top;
  }, [heightPx, lineTopPx]);

  // The arm may be moved far down the script: it must be seen.
  useEffect(() => {
    const element = scroller.current;
    const step = nextKey && element?.querySelector<HTMLElement>(`[data-step="${CSS.escape(nextKey)}"]`);
    if (!element || !step || glide.current !== 0) return;
    const top = offsetIn(step, element) - element.scrollTop;
    const wantedPx = element.clientHeight < LOW_PX ? FIRST_LINE_PX : step.offsetHeight + 60;
    if (top >= 0 && top + wantedPx <= element.clientHeight) return;
    detach(true);
    glideTo(nextKey, NEXT_AT);
  }, [nextKey, glideTo, detach, scroller]);

  useEffect(() => {
    const element = scroller.current;
    if (!element) return;
    const observer = new ResizeObserver(() => setHeightPx(element.clientHeight));
    observer.observe(element);
    const onScroll = () => {
      const top = topFor(lineKey, lineAt);
      if (glide.current === 0 && top !== undefined && Math.abs(element.scrollTop - top) > LOOSE_PX)
        detach(true);
    };
    element.addEventListener("scroll", onScroll, { passive: true });
    element.addEventListener("wheel", stop, { passive: true });
    element.addEventListener("touchmove", stop, { passive: true });
    return () => {
      observer.disconnect();
      element.removeEventListener("scroll", onScroll);
      element.removeEventListener("wheel", stop);
      element.removeEventListener("touchmove", stop);
    };
  }, [scroller, lineKey, lineAt, topFor, stop, detach]);

  const reattach = useCallback(() => {
    detach(false);
    glideTo(lineKey, lineAt);
  }, [lineKey, lineAt, glideTo, detach]);

  return {
    detached,
    reattach,
    at: lineAt,
    roomAbovePx: heightPx * lineAt,
    roomBelowPx: heightPx * (1 - lineAt) - 60,
  };
}

function offsetIn(element: HTMLElement, container: HTMLElement): number {
  return element.getBoundingClientRect().top - container.getBoundingClientRect().top + container.scrollTop;
}
