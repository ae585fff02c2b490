import { afterEach, beforeEach, expect, test, vi } from "vitest";
import { type Notice, Notices } from "./notices.ts";

beforeEach(() => void vi.useFakeTimers());
afterEach(() => void vi.useRealTimers());

const A_MINUTE_MS = 60_000;

function bench() {
  const shown: (Notice | null)[] = [];
  const notices = new Notices((notice) => shown.push(notice));
  return { notices, now: () => shown.at(-1)?.sentence };
}

test("what was told goes away by itself; the only way back stays until it is put away or something else is told", () => {
  const { notices, now } = bench();
  const act = () => {};
  notices.say("word", "“Strap” is taken.", { label: "Undo", act });
  expect(now()).toBe("“Strap” is taken.");
  vi.advanceTimersByTime(A_MINUTE_MS);
  expect(now()).toBeUndefined();

  const wayBack = { label: "Put it back", act, staysIn: "design" as const };
  notices.say("word", "“Prize” is deleted.", wayBack);
  vi.advanceTimersByTime(A_MINUTE_MS);
  expect(now()).toBe("“Prize” is deleted.");
  notices.dismiss();
  expect(now()).toBeUndefined();

  notices.say("word", "“Prize” is deleted.", wayBack);
  notices.say("trouble", "It could not be saved.");
  expect(now()).toBe("It could not be saved.");
  vi.advanceTimersByTime(A_MINUTE_MS);
  expect(now()).toBeUndefined();
});
