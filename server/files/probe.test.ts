import { readFileSync } from "node:fs";
import { createCanvas } from "@napi-rs/canvas";
import { describe, expect, test } from "vitest";
import { probePicture } from "./probePicture.ts";
import { probeVideo } from "./probeVideo.ts";

const file = (name: string) => new Uint8Array(readFileSync(`demo/media/${name}`));

describe("pictures", () => {
  test("what they are, how large, whether any of them is clear", async () => {
    expect(await probePicture(file("upper-slip.jpg"))).toMatchObject({
      widthPx: 1920,
      heightPx: 1280,
      hasAlpha: false,
    });
    expect(await probePicture(file("lantern-mark.png"))).toMatchObject({
      widthPx: 560,
      heightPx: 560,
      hasAlpha: true,
    });
    const opaque = createCanvas(40, 20);
    const context = opaque.getContext("2d");
    context.fillRect(0, 0, 40, 20);
    expect(await probePicture(opaque.toBuffer("image/png"))).toMatchObject({
      widthPx: 40,
      heightPx: 20,
      hasAlpha: false,
    });
  });

  test("a broken one, one that is none and one that would fill the memory are refused in a sentence", async () => {
    const broken = file("lantern-mark.png").slice(0, 900);
    expect(await probePicture(broken)).toMatchObject({
      problem: expect.stringMatching(/broken.*Nothing was added/),
    });
    expect(await probePicture(new TextEncoder().encode("no picture"))).toMatchObject({
      problem: expect.stringMatching(/not a picture/),
    });
    expect(
      await probePicture(
        new TextEncoder().encode('<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"/>'),
      ),
    ).toEqual({
      problem: expect.stringMatching(/“svg” are not taken in/),
    });
    // A head that says 20 000 by 20 000 pixels, with nothing behind it.
    const huge = file("lantern-mark.png").slice();
    new DataView(huge.buffer).setUint32(16, 20_000);
    new DataView(huge.buffer).setUint32(20, 20_000);
    expect(await probePicture(huge)).toEqual({ problem: expect.stringMatching(/20000×20000 pixels/) });
  });
});

describe("clips", () => {
  test("size, length, alpha and sound of WebM files", () => {
    expect(probeVideo(file("harbour-night.webm"))).toMatchObject({
      widthPx: 1280,
      heightPx: 720,
      hasAlpha: false,
      hasSound: false,
      durationMs: 8_000,
    });
    expect(probeVideo(file("lanterns-rise.webm"))).toMatchObject({
      hasAlpha: true,
      hasSound: false,
      durationMs: 6_000,
    });
    expect(probeVideo(file("paper-boat.webm"))).toMatchObject({ hasAlpha: false, hasSound: true });
  });

  test("an MP4 by its boxes", () => {
    const box = (kind: string, ...parts: Uint8Array[]) => {
      const size = 8 + parts.reduce((sum, part) => sum + part.length, 0);
      const bytes = new Uint8Array(size);
      new DataView(bytes.buffer).setUint32(0, size);
      bytes.set(new TextEncoder().encode(kind), 4);
      let at = 8;
      for (const part of parts) {
        bytes.set(part, at);
        at += part.length;
      }
      return bytes;
    };
    const words = (count: number, at: Record<number, number>) => {
      const view = new DataView(new ArrayBuffer(count * 4));
      for (const [i, value] of Object.entries(at)) view.setUint32(Number(i) * 4, value);
      return new Uint8Array(view.buffer);
    };
    const head = box("ftyp", new TextEncoder().encode("isom0000"));
    const moov = box(
      "moov",
      box("mvhd", words(25, { 3: 1_000, 4: 4_500 })),
      box(
        "trak",
        box("tkhd", words(21, { 19: 640 << 16, 20: 360 << 16 })),
        box("mdia", box("hdlr", words(6, { 2: 0x76696465 }))),
      ),
      box("trak", box("tkhd", words(21, {})), box("mdia", box("hdlr", words(6, { 2: 0x736f756e })))),
    );
    const pictures = box("mdat", new Uint8Array(3_000));
    const mp4 = new Uint8Array([...head, ...moov, ...pictures]);
    expect(probeVideo(mp4)).toMatchObject({
      widthPx: 640,
      heightPx: 360,
      hasAlpha: false,
      hasSound: true,
      durationMs: 4_500,
    });
    for (const cut of [20, 60, 200, mp4.length - head.length - 1])
      expect(probeVideo(mp4.slice(0, head.length + cut))).toHaveProperty("problem");
    expect(probeVideo(new Uint8Array([...head, ...moov]))).toEqual({
      problem: expect.stringMatching(/no pictures behind it/),
    });
  });

  test("cut off in its pictures, or a head alone, a clip is refused with a sentence", () => {
    for (const name of ["harbour-night.webm", "lanterns-rise.webm", "paper-boat.webm"]) {
      const whole = file(name);
      for (const part of [0.999, 0.9, 0.5, 0.2])
        expect(probeVideo(whole.slice(0, Math.floor(whole.length * part)))).toEqual({
          problem: expect.stringMatching(/cut off.*Nothing was added/),
        });
    }
  });

  test("a clip larger than any browser plays is refused by its head", () => {
    const huge = file("harbour-night.webm").slice();
    // PixelWidth (0xB0) with a length of two bytes, as the file has it.
    const at = huge.findIndex((byte, i) => byte === 0xb0 && huge[i + 1] === 0x82 && huge[i + 2] === 0x05);
    expect(at).toBeGreaterThan(0);
    huge[at + 2] = 0xff;
    expect(probeVideo(huge)).toEqual({ problem: expect.stringMatching(/65280×720 pixels/) });
  });

  test("cut off at any place, or with lengths that lie, a clip is refused or read, and never hangs", () => {
    const whole = file("lanterns-rise.webm").slice(0, 2_000);
    for (let cut = 0; cut < 700; cut += 7) probeVideo(whole.slice(0, cut));
    for (let at = 4; at < 400; at++) {
      const bent = whole.slice();
      bent[at] = 0xff - (bent[at] as number);
      probeVideo(bent);
    }
    expect(probeVideo(new Uint8Array(0))).toHaveProperty("problem");
    expect(probeVideo(new TextEncoder().encode("a text that goes on for a while"))).toHaveProperty("problem");
  });
});
