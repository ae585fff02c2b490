import { screenHzOf } from "../../core/venue/pace.ts";

/** About two seconds of a usual screen: a thousandth is told apart. */
const FRAMES = 130;
/** What is opening draws when it can, and says little of the screen. */
const BEGINS_AFTER_MS = 3_000;
const AGAIN_AFTER_MS = 10_000;

/**
 * Measures once how often the screen of this window draws. Nothing is drawn for it.
 * @param onMeasured called when frames kept time: later on a machine that is busy, never in a window that nobody sees
 * @returns a function that ends it
 */
export function measureScreen(onMeasured: (hz: number) => void): () => void {
  let frame = 0;
  const begin = () => {
    const stamps: number[] = [];
    const next = (atMs: number) => {
      stamps.push(atMs);
      if (stamps.length < FRAMES) frame = requestAnimationFrame(next);
      else {
        const hz = screenHzOf(stamps);
        if (hz !== null) onMeasured(hz);
        else timer = setTimeout(begin, AGAIN_AFTER_MS);
      }
    };
    frame = requestAnimationFrame(next);
  };
  let timer = setTimeout(begin, BEGINS_AFTER_MS);
  return () => {
    clearTimeout(timer);
    cancelAnimationFrame(frame);
  };
}
