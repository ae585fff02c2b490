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
  const cover = letters.data;
  const pixels = data.length / 4;
  let strongest = 0;
  for (let at = 3; at < pixels * 4; at += 4) strongest = Math.max(strongest, cover[at] as number);
  if (strongest === 0) return null;
  const ratios: number[] = [];
  for (let pixel = 0; pixel < pixels; pixel++) {
    if ((cover[pixel * 4 + 3] as number) < strongest * INSIDE) continue;
    const column = pixel % widthPx;
    for (let step = -1; step <= 1; step += 2)
      for (let away = 1; away <= BESIDE_PX; away++) {
        const besideColumn = column + step * away;
        if (besideColumn < 0 || besideColumn >= widthPx) break;
        const beside = pixel + step * away;
        if ((cover[beside * 4 + 3] as number) > 0) continue;
        ratios.push(leastContrast(data, pixel, beside));
        break;
      }
  }
  if (ratios.length === 0) return null;
  return Float64Array.from(ratios).sort()[Math.floor(ratios.length * WORST_SHARE)] as number;
}

const WHITE = LEVELS - 1;

/** The contrast that is left of two pixels where, over black or over white, both are as near to each other as they can come. */
function leastContrast(data: ArrayLike<number>, a: number, b: number): number {
  const [aOverBlack, bOverBlack] = [brightnessOver(data, a, 0), brightnessOver(data, b, 0)];
  const dark = aOverBlack <= bOverBlack ? a : b;
  const low = brightnessOver(data, dark, WHITE);
  const high = Math.max(aOverBlack, bOverBlack);
  return low >= high ? 1 : (high + 0.05) / (low + 0.05);
}

/** How bright a pixel is over a grey; the same over any where nothing is seen through it. */
function brightnessOver(data: ArrayLike<number>, pixel: number, ground: number): number {
  const at = pixel * 4;
  const alpha = (data[at + 3] as number) / WHITE;
  const behind = ground * (1 - alpha);
  return (
    0.2126 * (LINEAR[Math.round((data[at] as number) * alpha + behind)] as number) +
    0.7152 * (LINEAR[Math.round((data[at + 1] as number) * alpha + behind)] as number) +
    0.0722 * (LINEAR[Math.round((data[at + 2] as number) * alpha + behind)] as number)
  );
}

/** Relative luminance of an opaque pixel, 0 to 1. @param data RGBA, 8 bits each. Source: WCAG 2.2. */
export function brightnessAt(data: ArrayLike<number>, pixel: number): number {
  const level = (channel: number) => LINEAR[data[pixel * 4 + channel] as number] as number;
  return 0.2126 * level(0) + 0.7152 * level(1) + 0.0722 * level(2);
}
