import type { Rect } from "./picture.ts";

/** How a picture lies in a box: at its own size, whole inside, filling it and cut, or pulled to its shape. */
export const SCALE_MODES = ["asIs", "fit", "fill", "stretch"] as const;
export type ScaleMode = (typeof SCALE_MODES)[number];

/**
 * Where a picture of a natural size lies for a box. It may reach past the box ("fill", or "asIs" when larger);
 * whoever paints it clips to the box.
 * @param focus the point that must stay in sight, as fractions of the picture; 0.5, 0.5 is its middle
 * @param scale output pixels to one picture pixel in "asIs"
 */
export function placeInBox(
  natural: { readonly widthPx: number; readonly heightPx: number },
  box: Rect,
  mode: ScaleMode,
  focus: { readonly x: number; readonly y: number },
  scale = 1,
): Rect {
  if (mode === "stretch") return box;
  const byWidth = box.width / natural.widthPx;
  const byHeight = box.height / natural.heightPx;
  const by =
    mode === "asIs" ? scale : mode === "fit" ? Math.min(byWidth, byHeight) : Math.max(byWidth, byHeight);
  const width = natural.widthPx * by;
  const height = natural.heightPx * by;
  return {
    x: box.x + along(box.width, width, focus.x),
    y: box.y + along(box.height, height, focus.y),
    width,
    height,
  };
}

/** Smaller than the box: centred. Larger: the focus as near the middle as the edges allow. */
function along(room: number, size: number, focus: number): number {
  if (size <= room) return (room - size) / 2;
  return Math.min(0, Math.max(room - size, room / 2 - size * focus));
}
