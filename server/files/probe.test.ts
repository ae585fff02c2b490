import { readFileSync } from "node:fs";
import { createCanvas } from "@napi-rs/canvas";
import {
  BufferSource,
  BufferTarget,
  Conversion,
  Input,
  Mp4OutputFormat,
  Output,
  WEBM,
  WebMOutputFormat,
} from "mediabunny";
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

/** A clip of the demo in another container: the same pictures, one after another. */
async function asMp4(name: string, head: "first" | "last"): Promise<Uint8Array> {
  const target = new BufferTarget();
  const conversion = await Conversion.init({
    input: new Input({ source: new BufferSource(file(name)), formats: [WEBM] }),
    output: new Output({
      format: new Mp4OutputFormat({ fastStart: head === "first" ? "in-memory" : false }),
      target,
    }),
  });
  await conversion.execute();
  return new Uint8Array(target.buffer as ArrayBuffer);
}

/** What a browser records: nobody knows yet how long it will be. */
async function asRecording(name: string): Promise<Uint8Array> {
  const target = new BufferTarget();
  const conversion = await Conversion.init({
    input: new Input({ source: new BufferSource(file(name)), formats: [WEBM] }),
    output: new Output({ format: new WebMOutputFormat({ appendOnly: true }), target }),
  });
  await conversion.execute();
  return new Uint8Array(target.buffer as ArrayBuffer);
}

describe("clips", () => {
  test("size, length, alpha and sound of WebM files", async () => {
    expect(await probeVideo(file("harbour-night.webm"))).toEqual({
      mime: "video/webm",
      widthPx: 1280,
      heightPx: 720,
      hasAlpha: false,
      hasSound: false,
      durationMs: 8_000,
    });
    expect(await probeVideo(file("lanterns-rise.webm"))).toMatchObject({
      hasAlpha: true,
      hasSound: false,
      durationMs: 6_000,
    });
    expect(await probeVideo(file("paper-boat.webm"))).toMatchObject({ hasAlpha: false, hasSound: true });
  });

  test("a recording that does not say how long it is", async () => {
    expect(await probeVideo(await asRecording("harbour-night.webm"))).toMatchObject({
      widthPx: 1280,
      // To the start of the last picture: how long that stays, only a head would say.
      durationMs: 7_960,
    });
  });

  test.each(["first", "last"] as const)("an MP4 with its head %s", async (head) => {
    const whole = await asMp4("paper-boat.webm", head);
    expect(await probeVideo(whole)).toEqual({
      mime: "video/mp4",
      widthPx: 960,
      heightPx: 540,
      hasAlpha: false,
      hasSound: true,
      durationMs: expect.closeTo(6_000, -2),
    });
    for (const part of [0.999, 0.9, 0.5, 0.2, 0.02, 0.002])
      expect(await probeVideo(whole.slice(0, Math.floor(whole.length * part)))).toEqual({
        problem: expect.stringMatching(/cut off.*Nothing was added/),
      });
  });

  test("cut off in its pictures, or a head alone, a clip is refused with a sentence", async () => {
    const clips = ["harbour-night.webm", "lanterns-rise.webm", "paper-boat.webm"].map(file);
    for (const whole of [...clips, await asRecording("harbour-night.webm")])
      for (const part of [0.999, 0.9, 0.5, 0.2])
        expect(await probeVideo(whole.slice(0, Math.floor(whole.length * part)))).toEqual({
          problem: expect.stringMatching(/cut off.*Nothing was added/),
        });
  });

  test("a clip larger than any browser plays is refused by its head", async () => {
    const huge = file("harbour-night.webm").slice();
    // PixelWidth (0xB0) with a length of two bytes, as the file has it.
    const at = huge.findIndex((byte, i) => byte === 0xb0 && huge[i + 1] === 0x82 && huge[i + 2] === 0x05);
    expect(at).toBeGreaterThan(0);
    huge[at + 2] = 0xff;
    expect(await probeVideo(huge)).toEqual({ problem: expect.stringMatching(/65280×720 pixels/) });
  });

  test("cut off at any place, or with lengths that lie, a clip is refused or read, and never hangs", async () => {
    for (const whole of [file("harbour-night.webm"), await asMp4("harbour-night.webm", "first")]) {
      for (let cut = 0; cut < 700; cut += 7) await probeVideo(whole.slice(0, cut));
      for (let at = 4; at < 400; at += 3) {
        const bent = whole.slice();
        bent[at] = 0xff - (bent[at] as number);
        await probeVideo(bent);
      }
    }
    expect(await probeVideo(new Uint8Array(0))).toHaveProperty("problem");
    expect(await probeVideo(new TextEncoder().encode("a text that goes on for a while"))).toHaveProperty(
      "problem",
    );
  });
});
