import { readFileSync } from "node:fs";
import { expect, test } from "vitest";
import { mulberry } from "../../test-support/random.ts";
import { isCutOff } from "./isCutOff.ts";

const webm = new Uint8Array(readFileSync("demo/media/lanterns-rise.webm"));

/** An MP4 box (ISO 14496-12, 4.2): its size with its head, its type, what is in it. */
function box(type: string, bytes: number, size: "short" | "long" | "toEnd" = "short"): Uint8Array {
  const head = size === "long" ? 16 : 8;
  const made = new Uint8Array(head + bytes);
  const view = new DataView(made.buffer);
  view.setUint32(0, { short: made.length, long: 1, toEnd: 0 }[size]);
  made.set(new TextEncoder().encode(type), 4);
  if (size === "long") view.setBigUint64(8, BigInt(made.length));
  return made;
}
const join = (...parts: readonly Uint8Array[]) => new Uint8Array(parts.flatMap((part) => [...part]));

test("a WebM file is whole, and cut off wherever it ends early", () => {
  expect(isCutOff(webm, "webm")).toBe(false);
  const random = mulberry(13);
  for (let i = 0; i < 200; i++) {
    const length = 64 + Math.floor(random() * (webm.length - 65));
    expect(isCutOff(webm.slice(0, length), "webm"), `after ${length} bytes`).toBe(true);
  }
});

test("an MP4 file is whole with boxes of every size, and cut off wherever it ends early", () => {
  const whole = join(box("ftyp", 16), box("free", 3), box("mdat", 400, "long"), box("moov", 90));
  expect(isCutOff(whole, "mp4")).toBe(false);
  // At the end of a box only, the rest could be none.
  const ends = new Set([24, 35, 451]);
  for (let length = 9; length < whole.length; length++)
    if (!ends.has(length))
      expect(isCutOff(whole.slice(0, length), "mp4"), `after ${length} bytes`).toBe(true);
  expect(isCutOff(join(box("ftyp", 16), box("mdat", 400, "toEnd")), "mp4")).toBe(false);
  expect(isCutOff(join(box("ftyp", 16), new Uint8Array([0, 0, 0, 4, 1, 2, 3, 4, 5])), "mp4")).toBe(true);
});

test("bent bytes end: it never goes round in circles, nor past the end", () => {
  const random = mulberry(17);
  for (let i = 0; i < 2_000; i++) {
    const bent = webm.slice(0, 2_000);
    for (let n = 0; n < 3; n++) bent[Math.floor(random() * bent.length)] = Math.floor(random() * 256);
    expect([true, false]).toContain(isCutOff(bent, "webm"));
    expect([true, false]).toContain(isCutOff(bent, "mp4"));
  }
});
