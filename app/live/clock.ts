/** This machine's clock in ms since the epoch; it never jumps, even when the time of day is set. */
export function localNow(): number {
  return performance.timeOrigin + performance.now();
}
