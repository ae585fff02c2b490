import { afterEach, beforeEach, expect, test, vi } from "vitest";
import { fetchPatiently } from "./fetchPatiently.ts";

beforeEach(() => void vi.useFakeTimers());
afterEach(() => void vi.useRealTimers());

/** Fails so many times, and notes when it was asked. */
function failing(times: number) {
  const startedAtMs = Date.now();
  const askedAtMs: number[] = [];
  const attempt = async () => {
    askedAtMs.push(Date.now() - startedAtMs);
    // A programmer's error and a network's look alike in a browser: neither may end it.
    if (askedAtMs.length <= times) throw new TypeError("anything");
    return "file";
  };
  return { askedAtMs, attempt };
}

test("what fails is asked for again, at distances that double up to ten seconds, until it comes", async () => {
  const { askedAtMs, attempt } = failing(7);
  const coming = fetchPatiently(attempt);
  await vi.advanceTimersByTimeAsync(60_000);
  expect(await coming).toBe("file");
  expect(askedAtMs).toEqual([0, 500, 1_500, 3_500, 7_500, 15_500, 25_500, 35_500]);
});

test("a file nobody wants any more is not asked for", async () => {
  const { askedAtMs, attempt } = failing(99);
  const end = new AbortController();
  const coming = fetchPatiently(attempt, end.signal).catch((error: unknown) => error);
  await vi.advanceTimersByTimeAsync(1_000);
  end.abort(new Error("taken off"));
  await vi.advanceTimersByTimeAsync(60_000);
  expect(await coming).toEqual(new Error("taken off"));
  expect(askedAtMs).toEqual([0, 500]);
});
