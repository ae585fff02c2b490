/**
 * Blurs RGBA pixels in place: three box blurs, which is a Gaussian to within 3 % (W3C Filter Effects, feGaussianBlur).
 * Own code, because canvases differ in theirs: here every painter gives the same pixels.
 * @param data straight alpha, row by row, 4 bytes a pixel; colours are weighted by their alpha, so that clear pixels
 *   darken nothing
 * @param deviation standard deviation in pixels; below 0.3 nothing is done
 */
export function blurPixels(data: Uint8ClampedArray, width: number, height: number, deviation: number): void {
  if (deviation < 0.3 || width === 0 || height === 0) return;
  const boxes = boxRadii(deviation);
  const planes = [0, 1, 2, 3].map(() => new Float32Array(width * height)) as [
    Float32Array,
    Float32Array,
    Float32Array,
    Float32Array,
  ];
  const [red, green, blue, alpha] = planes;
  for (let i = 0; i < alpha.length; i++) {
    const a = (data[i * 4 + 3] as number) / 255;
    red[i] = (data[i * 4] as number) * a;
    green[i] = (data[i * 4 + 1] as number) * a;
    blue[i] = (data[i * 4 + 2] as number) * a;
    alpha[i] = a;
  }
  const spare = new Float32Array(width * height);
  for (const plane of planes)
    for (const radius of boxes) {
      boxBlur(plane, spare, width, height, radius, 1, width);
      boxBlur(spare, plane, height, width, radius, width, 1);
    }
  for (let i = 0; i < alpha.length; i++) {
    const a = alpha[i] as number;
    const by = a > 0 ? 1 / a : 0;
    data[i * 4] = Math.round((red[i] as number) * by);
    data[i * 4 + 1] = Math.round((green[i] as number) * by);
    data[i * 4 + 2] = Math.round((blue[i] as number) * by);
    data[i * 4 + 3] = Math.round(a * 255);
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

/** One running mean along lines of `length`; outside the picture all is clear. */
function boxBlur(
  from: Float32Array,
  to: Float32Array,
  length: number,
  lines: number,
  radius: number,
  step: number,
  lineStep: number,
): void {
  const by = 1 / (2 * radius + 1);
  for (let line = 0; line < lines; line++) {
    const start = line * lineStep;
    let sum = 0;
    for (let i = 0; i < Math.min(radius, length); i++) sum += from[start + i * step] as number;
    for (let i = 0; i < length; i++) {
      const coming = i + radius;
      if (coming < length) sum += from[start + coming * step] as number;
      to[start + i * step] = sum * by;
      const going = i - radius;
      if (going >= 0) sum -= from[start + going * step] as number;
    }
  }
}
