import { readFileSync } from "node:fs";
import { describe, expect, test } from "vitest";
import { fontEmbedding } from "./fontEmbedding.ts";

const FILE = "node_modules/@expo-google-fonts/noto-sans-thai/700Bold/NotoSansThai_700Bold.ttf";

/** The font with other licence bits; where they stand is found by the name of the table. */
function withType(type: number): Uint8Array {
  const bytes = Buffer.from(readFileSync(FILE));
  const entry = bytes.indexOf("OS/2", 0, "latin1");
  bytes.writeUInt16BE(type, bytes.readUInt32BE(entry + 8) + 8);
  return bytes;
}

describe("what a font allows", () => {
  test("one under an open licence may be installed anywhere", () => {
    expect(fontEmbedding(readFileSync(FILE))).toBe("installable");
  });
  test("the bits of the table are read, and of several the least restrictive counts", () => {
    expect([0x2, 0x4, 0x8, 0xe, 0x6, 0x104].map((type) => fontEmbedding(withType(type)))).toEqual([
      "restricted",
      "previewAndPrint",
      "editable",
      "editable",
      "previewAndPrint",
      "previewAndPrint",
    ]);
  });
  test("what is cut off, or no font, says nothing", () => {
    const whole = withType(2);
    expect(fontEmbedding(whole.subarray(0, 40))).toBe("unsaid");
    expect(fontEmbedding(new Uint8Array(3))).toBe("unsaid");
    expect(fontEmbedding(new TextEncoder().encode("no font at all, but long enough"))).toBe("unsaid");
  });
});
