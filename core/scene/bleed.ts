import { changedOnce } from "./adjust.ts";
import type { Box } from "./properties.ts";

/**
 * What fills the canvas from edge to edge fills the screen, where that has another shape: grounds, gradients, pictures and clips
 * that touch two opposite edges go on to the screen's own. The same object for the same screen, so that what was laid out of it holds.
 * @param canvas the size the template was made for
 * @param screen the whole screen in the template's pixels
 */
export function bled<T extends { readonly box: Box }>(
  object: T,
  canvas: { readonly widthPx: number; readonly heightPx: number },
  screen: Box,
): T {
  const { box } = object;
  const isWide = box.x <= 0 && box.x + box.width >= canvas.widthPx && screen.width > canvas.widthPx;
  const isHigh = box.y <= 0 && box.y + box.height >= canvas.heightPx && screen.height > canvas.heightPx;
  // What spans the width alone, such as a bar, goes to both sides; a ground goes everywhere.
  if (!isWide && !isHigh) return object;
  return changedOnce(object, `bled ${JSON.stringify(screen)}`, () => ({
    ...object,
    box: {
      ...box,
      ...(isWide && { x: screen.x, width: screen.width }),
      ...(isHigh && { y: screen.y, height: screen.height }),
    },
  }));
}
