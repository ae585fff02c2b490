const SLICES = 12;

/**
 * Does something once this server has run for so long. A time in which it stood still counts once, as one slice: what waited
 * behind it has its turn first.
 * @returns gives it up
 */
export function afterRunning(ms: number, act: () => void): () => void {
  let left = SLICES;
  const timer = setInterval(() => {
    if (--left > 0) return;
    clearInterval(timer);
    act();
  }, ms / SLICES);
  return () => clearInterval(timer);
}
