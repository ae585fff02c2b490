import pRetry from "p-retry";

/** A server that starts again is back within seconds; a file that is gone is asked for now and then. */
const FIRST_WAIT_MS = 500;
const LONGEST_WAIT_MS = 10_000;

/**
 * Tries until it succeeds, at growing distances: a window is open for hours, and what it could not fetch while the network or the
 * server was away must come by itself.
 * @param attempt one try; a failure of any kind is tried again
 * @param signal ends it
 * @returns what the first good try gave
 * @throws the reason of the signal once it is aborted
 */
export function fetchPatiently<T>(attempt: () => Promise<T>, signal?: AbortSignal): Promise<T> {
  const once = () =>
    attempt().catch((error: unknown) => {
      throw new Error("could not be fetched", { cause: error });
    });
  return pRetry(once, {
    retries: Number.POSITIVE_INFINITY,
    minTimeout: FIRST_WAIT_MS,
    maxTimeout: LONGEST_WAIT_MS,
    factor: 2,
    signal,
  });
}
