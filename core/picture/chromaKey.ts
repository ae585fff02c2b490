/** How a green- or blue-screen clip is cut out. */
export interface ChromaKey {
  /** The colour of the screen as it is in the decoded picture, #rrggbb. */
  readonly color: string;
  /** Distance in chroma, 0 to 1, that is still all screen. */
  readonly tolerance: number;
  /** Width of the edge over which it becomes all subject, 0 to 1. */
  readonly softness: number;
  /** How much of the screen's tint is taken out of the subject, 0 to 1. */
  readonly spill: number;
}

/** Rec. ITU-R BT.709 luma weights, and colour differences scaled to −0.5…0.5. */
const KR = 0.2126;
const KG = 0.7152;
const KB = 0.0722;

/** @param r, g, b 0 to 1 */
export function chromaOf(r: number, g: number, b: number): { readonly cb: number; readonly cr: number } {
  const luma = KR * r + KG * g + KB * b;
  return { cb: (b - luma) / (2 * (1 - KB)), cr: (r - luma) / (2 * (1 - KR)) };
}

/** A key worked out once, for many pixels. */
export interface PreparedKey {
  readonly cb: number;
  readonly cr: number;
  /** Unit direction of the screen's colour in the chroma plane. */
  readonly directionCb: number;
  readonly directionCr: number;
  readonly inner: number;
  readonly outer: number;
  readonly spill: number;
}

export function prepareKey(key: ChromaKey): PreparedKey {
  const channel = (at: number) => Number.parseInt(key.color.slice(at, at + 2), 16) / 255;
  const { cb, cr } = chromaOf(channel(1), channel(3), channel(5));
  const length = Math.hypot(cb, cr) || 1;
  // The farthest two chroma values of one hue lie about 0.5 apart: the settings go from 0 to that.
  const inner = key.tolerance * 0.5;
  return {
    cb,
    cr,
    directionCb: cb / length,
    directionCr: cr / length,
    inner,
    outer: inner + Math.max(0.002, key.softness * 0.5),
    spill: key.spill,
  };
}

/** How much of a pixel is subject: 0 on the screen's colour, 1 away from it, a smooth step over the edge. */
export function matteOf(key: PreparedKey, r: number, g: number, b: number): number {
  const { cb, cr } = chromaOf(r, g, b);
  const distance = Math.hypot(cb - key.cb, cr - key.cr);
  const t = Math.max(0, Math.min(1, (distance - key.inner) / (key.outer - key.inner)));
  return t * t * (3 - 2 * t);
}

/**
 * Keys RGBA bytes in place: alpha becomes the matte; what is left of the screen's tint is taken out towards grey of
 * the same luma.
 */
export function keyPixels(key: PreparedKey, data: Uint8ClampedArray): void {
  for (let i = 0; i < data.length; i += 4) {
    const r = (data[i] as number) / 255;
    const g = (data[i + 1] as number) / 255;
    const b = (data[i + 2] as number) / 255;
    const luma = KR * r + KG * g + KB * b;
    const cb = (b - luma) / (2 * (1 - KB));
    const cr = (r - luma) / (2 * (1 - KR));
    const distance = Math.hypot(cb - key.cb, cr - key.cr);
    const t = Math.max(0, Math.min(1, (distance - key.inner) / (key.outer - key.inner)));
    data[i + 3] = Math.round((data[i + 3] as number) * t * t * (3 - 2 * t));
    const tint = cb * key.directionCb + cr * key.directionCr;
    if (tint <= 0 || key.spill === 0) continue;
    const outCb = cb - tint * key.directionCb * key.spill;
    const outCr = cr - tint * key.directionCr * key.spill;
    const blue = luma + outCb * 2 * (1 - KB);
    const red = luma + outCr * 2 * (1 - KR);
    data[i] = red * 255;
    data[i + 1] = ((luma - KR * red - KB * blue) / KG) * 255;
    data[i + 2] = blue * 255;
  }
}
