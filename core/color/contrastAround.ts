/** How far from a letter what it is read against is looked for, px. */
const BESIDE_PX = 3;
/** Of the strongest pixel of the letters, what a pixel within them has; edges have less. */
const INSIDE = 0.9;
/** The share of what is looked at that may be harder to read than the figure says. */
const WORST_SHARE = 0.1;
const LEVELS = 256;

/** Brightness of a channel by its 8-bit level. Source: WCAG 2.2, relative luminance. */
const LINEAR = Float64Array.from({ length: LEVELS }, (_, level) => {
  const share = level / (LEVELS - 1);
  return share <= 0.04045 ? share / 12.92 : ((share + 0.055) / 1.055) ** 2.4;
});

interface Pixels {
  readonly data: ArrayLike<number>;
  readonly widthPx: number;
}

/**
 * The contrast that words have with what lies right beside their letters, their own shadows and outlines included. Where that is seen
 * through, a picture may be behind it that is as bright as the words: the least that any picture leaves them counts.
 * @param picture RGBA, 8 bits each, straight alpha, row by row, over nothing
 * @param letters the same, with the bare letters alone in it
 * @returns 1 to 21, exceeded by nine tenths of what was looked at; null: there are no letters
 * Source: WCAG 2.2, contrast ratio.
 */
export function contrastAround(picture: Pixels, letters: Pixels): number | null {
  const { data, widthPx } = picture;
  const coverOf = (pixel: number) => letters.data[pixel * 4 + 3] ?? 0;
  const pixels = data.length / 4;
  let strongest = 0;
  for (let pixel = 0; pixel < pixels; pixel++) strongest = Math.max(strongest, coverOf(pixel));
  if (strongest === 0) return null;
  const ratios: number[] = [];
  for (let pixel = 0; pixel < pixels; pixel++) {
    if (coverOf(pixel) < strongest * INSIDE) continue;
    const column = pixel % widthPx;
    for (const step of [-1, 1])
      for (let away = 1; away <= BESIDE_PX; away++) {
        const besideColumn = column + step * away;
        if (besideColumn < 0 || besideColumn >= widthPx) break;
        const beside = pixel + step * away;
        if (coverOf(beside) > 0) continue;
        ratios.push(leastContrast(brightnessOver(data, pixel), brightnessOver(data, beside)));
        break;
      }
  }
  if (ratios.length === 0) return null;
  ratios.sort((a, b) => a - b);
  return ratios[Math.floor(ratios.length * WORST_SHARE)] as number;
}

/** How bright a pixel is over black and over white; the same where nothing is seen through it. */
function brightnessOver(data: ArrayLike<number>, pixel: number): readonly [number, number] {
  const at = pixel * 4;
  const alpha = (data[at + 3] as number) / (LEVELS - 1);
  const over = (ground: number) => {
    const level = (channel: number) =>
      LINEAR[Math.round((data[at + channel] as number) * alpha + ground * (1 - alpha))] as number;
    return 0.2126 * level(0) + 0.7152 * level(1) + 0.0722 * level(2);
  };
  return [over(0), over(LEVELS - 1)];
}

/** Relative luminance of an opaque pixel, 0 to 1. @param data RGBA, 8 bits each. Source: WCAG 2.2. */
export function brightnessAt(data: ArrayLike<number>, pixel: number): number {
  const level = (channel: number) => LINEAR[data[pixel * 4 + channel] as number] as number;
  return 0.2126 * level(0) + 0.7152 * level(1) + 0.0722 * level(2);
}

/** The contrast that is left where both are as near to each other as they can come. */
function leastContrast(a: readonly [number, number], b: readonly [number, number]): number {
  const [low, high] = a[0] <= b[0] ? [a, b] : [b, a];
  return low[1] >= high[0] ? 1 : (high[0] + 0.05) / (low[1] + 0.05);
}
