import { afterEach, beforeEach, expect, test, vi } from "vitest";
import { Deadline } from "./deadline.ts";

beforeEach(() => void vi.useFakeTimers());
afterEach(() => void vi.useRealTimers());

test("ends when its time is over, and says that it was late", () => {
  const deadline = new Deadline(100);
  vi.advanceTimersByTime(99);
  expect([deadline.signal.aborted, deadline.isLate]).toEqual([false, false]);
  vi.advanceTimersByTime(1);
  expect([deadline.signal.aborted, deadline.isLate]).toEqual([true, true]);
});

test("ends with another signal, and was not late then; one that has ended already ends it at once", () => {
  const other = new AbortController();
  const deadline = new Deadline(100, other.signal);
  other.abort();
  expect([deadline.signal.aborted, deadline.isLate]).toEqual([true, false]);
  expect(new Deadline(100, other.signal).signal.aborted).toBe(true);
});

test("of what is done nothing is left, neither a timer nor with the other signal", () => {
  const other = new AbortController();
  const left = new Set<unknown>();
  const { signal } = other;
  vi.spyOn(signal, "addEventListener").mockImplementation((_type, listener) => void left.add(listener));
  vi.spyOn(signal, "removeEventListener").mockImplementation((_type, listener) => void left.delete(listener));
  const deadline = new Deadline(100, signal);
  expect([left.size, vi.getTimerCount()]).toEqual([1, 1]);
  deadline.done();
  expect([left.size, vi.getTimerCount()]).toEqual([0, 0]);
  expect(deadline.signal.aborted).toBe(false);
});
