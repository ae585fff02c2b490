import { expect, test } from "vitest";
import { readPad, writePadLight } from "./padKey.ts";

// MIDI 1.0, Detailed Specification: status bytes, from memory.
test.each([
  [[0x90, 60, 100], { key: "pad:1:60", isDown: true }],
  [[0x90, 60, 0], { key: "pad:1:60", isDown: false }],
  [[0x80, 60, 64], { key: "pad:1:60", isDown: false }],
  [[0x9f, 0, 1], { key: "pad:16:0", isDown: true }],
  [[0xb0, 20, 127], { key: "pad:1:c20", isDown: true }],
  [[0xb0, 20, 10], { key: "pad:1:c20", isDown: false }],
  [[0xf8], undefined],
  [[0xe0, 1, 2], undefined],
  [[0x90, 200, 2], undefined],
  [[], undefined],
])("%j", (bytes, press) => expect(readPad(bytes)).toEqual(press));

test("a light goes to the key that it was learnt from", () => {
  expect(writePadLight("pad:1:60", true)).toEqual([0x90, 60, 127]);
  expect(writePadLight("pad:16:c7", false)).toEqual([0xbf, 7, 0]);
  expect(writePadLight("x", true)).toBeUndefined();
});
