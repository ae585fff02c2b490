/**
 * Frame rates as exact fractions, so that 29.97 is 30000/1001 and nothing drifts over two hours.
 */
export interface FrameRate {
  readonly numerator: number;
  readonly denominator: number;
}

export const FRAME_RATES = {
  "23.976": { numerator: 24_000, denominator: 1_001 },
  "24": { numerator: 24, denominator: 1 },
  "25": { numerator: 25, denominator: 1 },
  "29.97": { numerator: 30_000, denominator: 1_001 },
  "30": { numerator: 30, denominator: 1 },
  "50": { numerator: 50, denominator: 1 },
  "59.94": { numerator: 60_000, denominator: 1_001 },
  "60": { numerator: 60, denominator: 1 },
} as const satisfies Record<string, FrameRate>;
export type FrameRateName = keyof typeof FRAME_RATES;

/** Frames in a second. */
export const framesPerSecond = ({ numerator, denominator }: FrameRate): number => numerator / denominator;

/** Whole frames that have begun after `ms`: 0 at 0. */
export function frameAt(ms: number, { numerator, denominator }: FrameRate): number {
  // A thousandth of a frame is forgiven: times that come from frames must come back as the same frame.
  return Math.floor((ms * numerator) / (denominator * 1_000) + 0.001);
}

/** When a frame begins, in ms. */
export const frameStartMs = (frame: number, { numerator, denominator }: FrameRate): number =>
  (frame * denominator * 1_000) / numerator;

/**
 * Timecode of a frame number, hours modulo 24. At 29.97 and 59.94 it is drop-frame, with ";" before the frames: two
 * (four) numbers are left out at each minute that is not a tenth, so that the display keeps with the clock.
 * Rule of SMPTE ST 12-1, from memory: 17 982 frames in ten minutes and 107 892 in an hour at 29.97.
 * @param frame whole number, 0 or more
 */
export function formatTimecode(frame: number, rate: FrameRate): string {
  if (!Number.isInteger(frame) || frame < 0)
    throw new Error(`A frame number is 0 or more and whole, not ${frame}`);
  const nominal = Math.round(framesPerSecond(rate));
  const isDrop = rate.denominator === 1_001 && nominal % 30 === 0;
  let number = frame;
  if (isDrop) {
    const dropped = nominal / 15;
    const perMinute = nominal * 60 - dropped;
    const perTen = perMinute * 10 + dropped;
    const tens = Math.floor(frame / perTen);
    const rest = frame % perTen;
    // The first minute of ten keeps all its numbers.
    const minutes = rest < nominal * 60 ? 0 : 1 + Math.floor((rest - nominal * 60) / perMinute);
    number += dropped * (9 * tens + minutes);
  }
  const two = (n: number) => String(n).padStart(2, "0");
  const seconds = Math.floor(number / nominal);
  const clock = [Math.floor(seconds / 3_600) % 24, Math.floor(seconds / 60) % 60, seconds % 60]
    .map(two)
    .join(":");
  return `${clock}${isDrop ? ";" : ":"}${two(number % nominal)}`;
}
