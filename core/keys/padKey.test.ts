import { expect, test } from "vitest";
import { PadReader, writePadLight } from "./padKey.ts";

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
])("%j", (bytes, press) => expect(new PadReader().read(bytes)).toEqual(press));

test("a knob or a fader that is turned up is one press, and let go once it is down again", () => {
  const reader = new PadReader();
  const turned = [10, 63, 64, 70, 127, 127, 90, 63, 20, 0, 65].map((value) => reader.read([0xb0, 7, value]));
  expect(turned.map((press) => press?.isDown)).toEqual([
    false,
    undefined,
    true,
    ...[undefined, undefined, undefined, undefined],
    false,
    undefined,
    undefined,
    true,
  ]);
});

test("a key that is struck again is pressed again, though its pad never says that it was let go", () => {
  const reader = new PadReader();
  const struck = [1, 2, 3].map(() => reader.read([0x90, 60, 100]));
  expect(struck).toEqual(struck.map(() => ({ key: "pad:1:60", isDown: true })));
});

test("a light goes to the key that it was learnt from", () => {
  expect(writePadLight("pad:1:60", true)).toEqual([0x90, 60, 127]);
  expect(writePadLight("pad:16:c7", false)).toEqual([0xbf, 7, 0]);
  expect(writePadLight("x", true)).toBeUndefined();
});
