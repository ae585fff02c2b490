/** A row that has kept its place for so many frames has found it. */
const STILL_FRAMES = 12;
const MOST_FRAMES = 90;

/**
 * Scrolls until a row stands in sight, and again while rows about it are still being measured; a row that is taller than
 * the view with its top. A person who scrolls, presses or types ends it.
 * @returns ends it
 */
export function keepInSight(scroller: HTMLElement, row: HTMLElement): () => void {
  let frame = 0;
  let frames = 0;
  let still = 0;
  const end = () => {
    cancelAnimationFrame(frame);
    for (const kind of ENDING) window.removeEventListener(kind, end, true);
  };
  const look = () => {
    const view = scroller.getBoundingClientRect();
    const { top, bottom } = row.getBoundingClientRect();
    const above = top - view.top;
    const below = bottom - view.bottom;
    const by = above < 0 ? above : below > 0 ? Math.min(above, below) : 0;
    if (Math.abs(by) < 1) still++;
    else {
      still = 0;
      scroller.scrollTop += by;
    }
    if (still >= STILL_FRAMES || ++frames >= MOST_FRAMES) end();
    else frame = requestAnimationFrame(look);
  };
  for (const kind of ENDING) window.addEventListener(kind, end, true);
  look();
  return end;
}

const ENDING = ["wheel", "pointerdown", "touchstart", "keydown"] as const;
