import { expect, test } from "vitest";
import type { WebSocket } from "ws";
import { countNot, isTooSlow, openedWindow } from "./window.ts";

test("what a window did not read while the server stood still is not held against it", () => {
  const window = openedWindow({ bufferedAmount: 3 * 1024 * 1024 } as WebSocket, "127.0.0.1", 0);
  expect(isTooSlow(window, 1_000)).toBe(false);
  countNot(window, 8_000);
  expect(isTooSlow(window, 9_500)).toBe(false);
  // It has read nothing for five seconds in which the server was there.
  expect(isTooSlow(window, 14_100)).toBe(true);
});
