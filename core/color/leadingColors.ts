/** Colours are counted in boxes of so many levels of each channel. */
const LEVELS = 12;
/** Two colours nearer than this are one, as a distance of channels. */
const LEAST_APART = 90;
/** Seen through more than this, a pixel is not of the picture. */
const LEAST_ALPHA = 128;

interface Counted {
  readonly sum: [number, number, number];
  weight: number;
}

/**
 * The colours that a picture is known by, the strongest first: what there is much of counts, and more when it is vivid. White, black
 * and grey come last, for they are the paper of most marks.
 * @param pixels RGBA, 8 bits each
 * @param wanted how many at most
 * @returns as #rrggbb; fewer where the picture has fewer
 */
export function leadingColors(pixels: ArrayLike<number>, wanted: number): string[] {
  const boxes = new Map<number, Counted>();
  for (let i = 0; i + 3 < pixels.length; i += 4) {
    if ((pixels[i + 3] as number) < LEAST_ALPHA) continue;
    const channels = [pixels[i], pixels[i + 1], pixels[i + 2]] as [number, number, number];
    const [r, g, b] = channels.map((channel) => Math.floor((channel / 256) * LEVELS)) as [
      number,
      number,
      number,
    ];
    const key = (r * LEVELS + g) * LEVELS + b;
    const counted = boxes.get(key) ?? { sum: [0, 0, 0], weight: 0 };
    counted.weight++;
    for (const at of [0, 1, 2] as const) counted.sum[at] += channels[at];
    boxes.set(key, counted);
  }
  const ranked = [...boxes.values()]
    .map(({ sum, weight }) => {
      const color = sum.map((total) => Math.round(total / weight)) as [number, number, number];
      return { color, score: weight * (0.01 + vividness(color)) };
    })
    .sort((a, b) => b.score - a.score);
  const chosen: [number, number, number][] = [];
  for (const { color } of ranked) {
    if (chosen.length >= wanted) break;
    if (chosen.every((other) => distance(other, color) >= LEAST_APART)) chosen.push(color);
  }
  return chosen.map((color) => `#${color.map((channel) => channel.toString(16).padStart(2, "0")).join("")}`);
}

/** 0 for greys to 1 for pure colours that are neither very dark nor very light. */
function vividness(color: readonly [number, number, number]): number {
  const [most, least] = [Math.max(...color), Math.min(...color)];
  const isAtEnd = most < 24 || least > 231;
  return ((most - least) / 255) * (isAtEnd ? 0.3 : 1);
}

const distance = (a: readonly number[], b: readonly number[]): number =>
  Math.hypot(...a.map((channel, i) => channel - (b[i] ?? 0)));
