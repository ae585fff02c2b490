/**
 * Blurs RGBA pixels in place: three box blurs, which is a Gaussian to within 3 % (W3C Filter Effects, feGaussianBlur).
 * Own code, because canvases differ in theirs: here every painter gives the same pixels. Wide blurs are worked out on a
 * picture that many times smaller, which nobody can see.
 * @param data straight alpha, row by row, 4 bytes a pixel; colours are weighted by their alpha, so that clear pixels
 *   darken nothing
 * @param deviation standard deviation in pixels; below 0.3 nothing is done
 */
export function blurPixels(data: Uint8ClampedArray, width: number, height: number, deviation: number): void {
  if (deviation < 0.3 || width === 0 || height === 0) return;
  let shrink = 1;
  while (deviation / (shrink * 2) > 1.25) shrink *= 2;
  const small = shrunk(data, width, height, shrink);
  const boxes = boxRadii(deviation / shrink);
  const spare = new Float32Array(small.values.length);
  for (const radius of boxes) {
    blurRows(small.values, spare, small.width, small.height, radius);
    blurColumns(spare, small.values, small.width, small.height, radius);
  }
  spread(small, data, width, height, shrink);
}

/** Four values to a pixel, colours multiplied by alpha. */
interface Small {
  readonly values: Float32Array;
  readonly width: number;
  readonly height: number;
}

function shrunk(data: Uint8ClampedArray, width: number, height: number, by: number): Small {
  const small = { width: Math.ceil(width / by), height: Math.ceil(height / by) };
  const values = new Float32Array(small.width * small.height * 4);
  const share = 1 / (by * by * 255);
  for (let y = 0; y < height; y++) {
    let from = y * width * 4;
    let to = ((y / by) | 0) * small.width * 4;
    let inBlock = 0;
    for (let x = 0; x < width; x++) {
      const alpha = (data[from + 3] as number) * share;
      values[to] = (values[to] as number) + (data[from] as number) * alpha;
      values[to + 1] = (values[to + 1] as number) + (data[from + 1] as number) * alpha;
      values[to + 2] = (values[to + 2] as number) + (data[from + 2] as number) * alpha;
      values[to + 3] = (values[to + 3] as number) + alpha;
      from += 4;
      if (++inBlock === by) {
        inBlock = 0;
        to += 4;
      }
    }
  }
  return { values, ...small };
}

/** Back to full size, in straight lines between the middles of the small pixels: first down, then across. */
function spread(
  { values, ...small }: Small,
  data: Uint8ClampedArray,
  width: number,
  height: number,
  by: number,
): void {
  const line = new Float32Array(small.width * 4);
  for (let y = 0; y < height; y++) {
    const sy = Math.max(0, Math.min(small.height - 1, (y + 0.5) / by - 0.5));
    const y0 = sy | 0;
    const fy = sy - y0;
    const above = y0 * small.width * 4;
    const below = Math.min(small.height - 1, y0 + 1) * small.width * 4;
    for (let i = 0; i < line.length; i++)
      line[i] = (values[above + i] as number) * (1 - fy) + (values[below + i] as number) * fy;
    let to = y * width * 4;
    for (let x = 0; x < width; x++) {
      const sx = Math.max(0, Math.min(small.width - 1, (x + 0.5) / by - 0.5));
      const x0 = sx | 0;
      const fx = sx - x0;
      const a = x0 * 4;
      const b = x0 + 1 < small.width ? a + 4 : a;
      const alpha = (line[a + 3] as number) * (1 - fx) + (line[b + 3] as number) * fx;
      const scale = alpha > 0 ? 1 / alpha : 0;
      data[to] = ((line[a] as number) * (1 - fx) + (line[b] as number) * fx) * scale;
      data[to + 1] = ((line[a + 1] as number) * (1 - fx) + (line[b + 1] as number) * fx) * scale;
      data[to + 2] = ((line[a + 2] as number) * (1 - fx) + (line[b + 2] as number) * fx) * scale;
      data[to + 3] = alpha * 255;
      to += 4;
    }
  }
}

/** Radii of three boxes whose variances add up to that of the Gaussian. */
function boxRadii(deviation: number): number[] {
  const ideal = Math.sqrt((12 * deviation * deviation) / 3 + 1);
  let lower = Math.floor(ideal);
  if (lower % 2 === 0) lower--;
  const small = Math.round((12 * deviation ** 2 - 3 * lower ** 2 - 12 * lower - 9) / (-4 * lower - 4));
  return [0, 1, 2].map((i) => ((i < small ? lower : lower + 2) - 1) / 2);
}

/** Running means along rows; outside the picture all is clear. */
function blurRows(from: Float32Array, to: Float32Array, width: number, height: number, radius: number): void {
  const share = 1 / (2 * radius + 1);
  for (let y = 0; y < height; y++) {
    const start = y * width * 4;
    for (let channel = 0; channel < 4; channel++) {
      const base = start + channel;
      let sum = 0;
      for (let x = 0; x < Math.min(radius, width); x++) sum += from[base + x * 4] as number;
      for (let x = 0; x < width; x++) {
        if (x + radius < width) sum += from[base + (x + radius) * 4] as number;
        to[base + x * 4] = sum * share;
        if (x - radius >= 0) sum -= from[base + (x - radius) * 4] as number;
      }
    }
  }
}

/** The same down columns, a whole row at a time, so that memory is read in order. */
function blurColumns(
  from: Float32Array,
  to: Float32Array,
  width: number,
  height: number,
  radius: number,
): void {
  const share = 1 / (2 * radius + 1);
  const line = width * 4;
  const sums = new Float64Array(line);
  const add = (y: number, sign: 1 | -1) => {
    const base = y * line;
    for (let i = 0; i < line; i++) sums[i] = (sums[i] as number) + sign * (from[base + i] as number);
  };
  for (let y = 0; y < Math.min(radius, height); y++) add(y, 1);
  for (let y = 0; y < height; y++) {
    if (y + radius < height) add(y + radius, 1);
    const base = y * line;
    for (let i = 0; i < line; i++) to[base + i] = (sums[i] as number) * share;
    if (y - radius >= 0) add(y - radius, -1);
  }
}
