import { readFileSync } from "node:fs";
import { createCanvas } from "@napi-rs/canvas";
import { describe, expect, test } from "vitest";
import { isAnimated } from "./isAnimated.ts";
import { probePicture } from "./probePicture.ts";
import { probeSound } from "./probeSound.ts";

/** A second of a tone as PCM in a WAV file (RIFF, 16 bits, one channel). */
function wav(seconds = 1, rate = 8_000): Uint8Array {
  const samples = seconds * rate;
  const bytes = new Uint8Array(44 + samples * 2);
  const view = new DataView(bytes.buffer);
  const write = (at: number, text: string) => bytes.set(Buffer.from(text, "latin1"), at);
  write(0, "RIFF");
  view.setUint32(4, 36 + samples * 2, true);
  write(8, "WAVEfmt ");
  view.setUint32(16, 16, true);
  view.setUint16(20, 1, true);
  view.setUint16(22, 1, true);
  view.setUint32(24, rate, true);
  view.setUint32(28, rate * 2, true);
  view.setUint16(32, 2, true);
  view.setUint16(34, 16, true);
  write(36, "data");
  view.setUint32(40, samples * 2, true);
  for (let i = 0; i < samples; i++) view.setInt16(44 + i * 2, Math.sin(i / 6) * 8_000, true);
  return bytes;
}

describe("sounds", () => {
  test("what they are and how long", async () => {
    expect(await probeSound(wav(2))).toEqual({ mime: "audio/wav", durationMs: 2_000 });
  });

  test("one that is cut off, one that is none and one that is a picture are refused in a sentence", async () => {
    expect(await probeSound(wav().slice(0, 9_000))).toMatchObject({
      problem: expect.stringMatching(/cut off/),
    });
    expect(await probeSound(new TextEncoder().encode("la la la, la la la"))).toMatchObject({
      problem: expect.stringMatching(/not a sound/),
    });
    const picture = new Uint8Array(readFileSync("demo/media/lantern-mark.png"));
    expect(await probeSound(picture)).toMatchObject({ problem: expect.stringMatching(/not a sound/) });
  });
});

describe("pictures that move", () => {
  const gif = (pictures: number) => {
    const frame = [0x21, 0xf9, 0x04, 0, 10, 0, 0, 0, 0x2c, 0, 0, 0, 0, 1, 0, 1, 0, 0, 2, 2, 0x44, 1, 0];
    const head = [...Buffer.from("GIF89a"), 1, 0, 1, 0, 0x80, 0, 0, 0, 0, 0, 255, 255, 255];
    return new Uint8Array([...head, ...Array.from({ length: pictures }, () => frame).flat(), 0x3b]);
  };

  test("are told as such: a GIF of several pictures; one of one is not", async () => {
    expect(await probePicture(gif(3))).toMatchObject({ mime: "image/gif", isAnimated: true });
    expect(await probePicture(gif(1))).not.toHaveProperty("isAnimated");
  });

  test("by the signs of each format", () => {
    const bytes = (text: string) => new Uint8Array(Buffer.from(text, "latin1"));
    expect(isAnimated("webp", bytes("RIFF....WEBPVP8X..........ANIM......"))).toBe(true);
    expect(isAnimated("webp", bytes("RIFF....WEBPVP8 ........................"))).toBe(false);
    expect(isAnimated("png", bytes("\x89PNG....IHDR.............acTL...."))).toBe(true);
    expect(isAnimated("avif", bytes("....ftypavis....avifmif1"))).toBe(true);
    expect(isAnimated("avif", bytes("....ftypavif....avifmif1"))).toBe(false);
  });

  test("AVIF is taken in as a picture", async () => {
    const canvas = createCanvas(40, 30);
    canvas.getContext("2d").fillRect(0, 0, 40, 30);
    expect(await probePicture(await canvas.encode("avif"))).toMatchObject({
      mime: "image/avif",
      widthPx: 40,
      heightPx: 30,
    });
  });
});
