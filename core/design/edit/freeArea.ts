import type { Rect } from "./objects.ts";

/** A pixel is part of the bed from this opacity on. */
const LEAST_ALPHA = 200;
/** Neighbours that differ by more than this in brightness are no plain ground for words. */
const MOST_STEP = 14;
/** An area of less than this share of the picture is no room for words. */
const LEAST_SHARE = 0.008;
/** Words keep this share of the area's height from its edges. */
const MARGIN = 0.1;

/**
 * Where on a bed there is room for words: the largest rectangle that is opaque and plain. Words run along lines, so a wide one counts
 * for more than a high one of the same area.
 * @param pixels RGBA, 8 bits each, row by row
 * @returns shares of the picture, with a margin within; null: there is none
 */
export function freeArea(pixels: ArrayLike<number>, widthPx: number, heightPx: number): Rect | null {
  const isFree = plainCells(pixels, widthPx, heightPx);
  /** For each column: how many free cells stand above one another, up to this row. */
  const heights = new Array<number>(widthPx).fill(0);
  let best: { readonly box: Rect; readonly worth: number } | null = null;
  for (let y = 0; y < heightPx; y++) {
    for (let x = 0; x < widthPx; x++) heights[x] = isFree[y * widthPx + x] ? (heights[x] ?? 0) + 1 : 0;
    for (const { from, to, height } of rectanglesUnder(heights)) {
      const width = to - from;
      const worth = width ** 1.5 * height;
      if (!best || worth > best.worth) best = { box: { x: from, y: y - height + 1, width, height }, worth };
    }
  }
  if (!best || best.box.width * best.box.height < LEAST_SHARE * widthPx * heightPx) return null;
  const { x, y, width, height } = best.box;
  const margin = Math.min(height * MARGIN, width / 4);
  return {
    x: (x + margin) / widthPx,
    y: (y + margin) / heightPx,
    width: (width - margin * 2) / widthPx,
    height: (height - margin * 2) / heightPx,
  };
}

/** Whether each pixel is opaque, and as bright as those of the bed beside it. */
function plainCells(pixels: ArrayLike<number>, widthPx: number, heightPx: number): readonly boolean[] {
  const at = (x: number, y: number) => (y * widthPx + x) * 4;
  const brightness = (i: number) =>
    0.2126 * (pixels[i] ?? 0) + 0.7152 * (pixels[i + 1] ?? 0) + 0.0722 * (pixels[i + 2] ?? 0);
  const isOfBed = (i: number) => (pixels[i + 3] ?? 0) >= LEAST_ALPHA;
  const isAlike = (i: number, x: number, y: number) => {
    if (x < 0 || y < 0 || x >= widthPx || y >= heightPx) return true;
    const other = at(x, y);
    return !isOfBed(other) || Math.abs(brightness(other) - brightness(i)) <= MOST_STEP;
  };
  return Array.from({ length: widthPx * heightPx }, (_, n) => {
    const [x, y] = [n % widthPx, Math.floor(n / widthPx)];
    const i = at(x, y);
    if (!isOfBed(i)) return false;
    return isAlike(i, x + 1, y) && isAlike(i, x - 1, y) && isAlike(i, x, y + 1) && isAlike(i, x, y - 1);
  });
}

/**
 * The widest rectangles that fit under columns, one for each height that matters.
 * Source: the largest rectangle in a histogram, by a stack of rising columns; common knowledge.
 */
function* rectanglesUnder(
  heights: readonly number[],
): Generator<{ readonly from: number; readonly to: number; readonly height: number }> {
  const open: { readonly from: number; readonly height: number }[] = [];
  for (let x = 0; x <= heights.length; x++) {
    const height = heights[x] ?? 0;
    let from = x;
    for (let last = open.at(-1); last && last.height >= height; last = open.at(-1)) {
      open.pop();
      if (last.height > 0) yield { from: last.from, to: x, height: last.height };
      from = last.from;
    }
    open.push({ from, height });
  }
}
