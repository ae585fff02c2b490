import { createCanvas } from "@napi-rs/canvas";
import { PNG } from "pngjs";
import { beforeAll, describe, expect, test } from "vitest";
import { composeSlot } from "../core/compose/compose.ts";
import { placementsAt } from "../core/compose/placements.ts";
import type { SceneObject } from "../core/scene/objectKinds.ts";
import type { Shaper } from "../core/text/shaper.ts";
import { box, ellipse, group, linear, rectangle, solid, text } from "../designs/parts.ts";
import { loadShaper } from "../server/fonts/shippedFonts.ts";
import { contextOf, drawPlacements, serverPaintKit } from "../server/stills/serverCanvas.ts";
import { make, move } from "../test-support/designs.ts";
import { lay, templateOf } from "../test-support/pages.ts";
import { CLIP, timelineOf } from "../test-support/takes.ts";
import { drawOnCanvas, fillAndKey } from "./canvasStage.ts";
import { paintPicture } from "./paint.ts";

let shaper: Shaper;
beforeAll(async () => {
  shaper = await loadShaper();
});

const SIZE = { widthPx: 480, heightPx: 270 };

function draw(objects: SceneObject[], ground: string | null = null, shown = SIZE, from = { xPx: 0, yPx: 0 }) {
  const laidOut = lay({ ...templateOf(...objects), canvas: SIZE }, { words: "Carry the lamp down" }, shaper, {
    output: SIZE,
  });
  const page = { cueId: "c", content: "0".repeat(64), step: { occurrence: "page", unit: 0 } };
  const moment = {
    startAtMs: 0,
    sinceMs: 0,
    page,
    how: "settled" as const,
    endsAtMs: null,
    lastsMs: 0,
    effectMs: null,
  };
  const pieces = composeSlot([moment], "l", () => ({ templateHash: "t", laidOut }));
  const kit = serverPaintKit(shaper);
  return drawPlacements(placementsAt({ pieces }, 5_000, SIZE), shown, 1, kit, ground, from);
}
const pixels = (canvas: ReturnType<typeof draw>) =>
  canvas.getContext("2d").getImageData(0, 0, SIZE.widthPx, SIZE.heightPx).data;
const pixel = (data: Uint8ClampedArray, x: number, y: number) => [
  ...data.slice((y * SIZE.widthPx + x) * 4, (y * SIZE.widthPx + x) * 4 + 4),
];

const SCENE: SceneObject[] = [
  rectangle("bar", box(40, 150, 400, 80), linear(90, [0, "accent", 0.9], [1, "second", 0.4]), {
    corners: 24,
  }),
  text(
    "words",
    "words",
    box(60, 155, 360, 70),
    { min: 20, max: 50 },
    { shadows: [{ color: "#000000a0", blurPx: 8, offsetXPx: 0, offsetYPx: 3 }] },
  ),
];

describe("stills", () => {
  test("a part of a wall is that part of the wall's picture, groups and clips too", () => {
    const objects = [
      ...SCENE,
      group("g", box(180, 60, 200, 120), [ellipse("e", box(180, 60, 200, 120), solid("accent"))], {
        blend: "screen",
      }),
    ];
    const whole = draw(objects).getContext("2d");
    const from = { xPx: 200, yPx: 100 };
    const part = { widthPx: 160, heightPx: 120 };
    const alone = draw(objects, null, part, from);
    expect([alone.width, alone.height]).toEqual([160, 120]);
    const expected = whole.getImageData(from.xPx, from.yPx, part.widthPx, part.heightPx).data;
    const seen = alone.getContext("2d").getImageData(0, 0, part.widthPx, part.heightPx).data;
    expect(Buffer.compare(Buffer.from(seen.buffer), Buffer.from(expected.buffer))).toBe(0);
    expect(seen.some((value) => value > 0)).toBe(true);
  });

  test("fill and key together over a picture are the page over that picture", () => {
    const over = [40, 90, 200] as const;
    const clear = pixels(draw(SCENE));
    const direct = pixels(draw(SCENE, "rgb(40, 90, 200)"));
    const { fill, key } = fillAndKey(clear);
    let largest = 0;
    for (let i = 0; i < clear.length; i += 4)
      for (let channel = 0; channel < 3; channel++) {
        const k = (key[i + channel] as number) / 255;
        const keyed = (fill[i + channel] as number) * k + (over[channel] as number) * (1 - k);
        largest = Math.max(largest, Math.abs(keyed - (direct[i + channel] as number)));
      }
    expect(largest).toBeLessThanOrEqual(2);
    // The key alone: opaque, grey, black where nothing is.
    expect([...key.slice(0, 4)]).toEqual([0, 0, 0, 255]);
  });

  test("a plate painted as key is the fill's alpha in white", () => {
    const laidOut = lay({ ...templateOf(...SCENE), canvas: SIZE }, { words: "Lamp" }, shaper, {
      output: SIZE,
    });
    for (const { content } of laidOut.parts) {
      if (content.kind !== "plate" && content.kind !== "shape") throw new Error(content.kind);
      const { picture } = content.plate;
      const { width, height } = picture.bounds;
      const [fill, key] = (["fill", "key"] as const).map((signal) => {
        const canvas = createCanvas(width, height);
        paintPicture(contextOf(canvas), picture, 1, serverPaintKit(shaper), signal);
        return canvas.getContext("2d").getImageData(0, 0, width, height).data;
      });
      for (let i = 0; i < (fill?.length ?? 0); i += 4) {
        expect(Math.abs((key?.[i + 3] ?? 0) - (fill?.[i + 3] ?? 0))).toBeLessThanOrEqual(1);
        if ((key?.[i + 3] ?? 0) > 8) expect(key?.[i]).toBe(255);
      }
    }
  });

  test("a frame of a clip is tinted where it is not clear, and blurred", () => {
    const frame = createCanvas(480, 270);
    const context = frame.getContext("2d");
    context.fillStyle = "#ff0000";
    context.fillRect(0, 0, 240, 270);
    const motion = (property: "tint" | "blur") => ({
      enter: [move(property, 0, 1, 1_000, 0, "linear")],
      ...{ tint: "#0000ff", blurPx: 6 },
    });
    const shown = (property: "tint" | "blur") => {
      const clip = make("video", {
        id: "clip",
        box: box(0, 0, 480, 270),
        source: { kind: "media", hash: CLIP.file },
        motion: motion(property),
      });
      const placements = placementsAt(timelineOf(shaper, [clip], [{ atMs: 0, values: {} }]), 1_000, SIZE);
      const canvas = createCanvas(SIZE.widthPx, SIZE.heightPx);
      const [one] = placements;
      if (one?.kind !== "video") throw new Error(`${one?.kind} is no clip`);
      const kit = serverPaintKit(shaper);
      drawOnCanvas(contextOf(canvas), [one], {
        ...{ kit, scale: 1, ...SIZE },
        frameOf: () => frame as unknown as CanvasImageSource,
      });
      return pixels(canvas);
    };
    const tinted = shown("tint");
    expect([pixel(tinted, 60, 60), pixel(tinted, 400, 60)]).toEqual([
      [0, 0, 255, 255],
      [0, 0, 0, 0],
    ]);
    const edge = pixel(shown("blur"), 240, 135)[3] ?? 0;
    expect(Math.abs(edge - 128)).toBeLessThan(16);
  });

  test("the program picture fills its window from its middle, keeps its shape, and takes a tint", () => {
    // Thirds in red, green and blue, twice as wide as high.
    const program = createCanvas(480, 240);
    const context = program.getContext("2d");
    for (const [i, color] of ["#ff0000", "#00ff00", "#0000ff"].entries()) {
      context.fillStyle = color;
      context.fillRect(i * 160, 0, 160, 240);
    }
    const window = make("program", { id: "window", box: box(100, 50, 120, 120) });
    const tinted = make("program", {
      id: "window",
      box: box(100, 50, 120, 120),
      motion: { enter: [move("tint", 0, 1, 1_000, 0, "linear")], tint: "#ffffff" },
    });
    const shown = (object: SceneObject) => {
      const placements = placementsAt(timelineOf(shaper, [object], [{ atMs: 0, values: {} }]), 1_000, SIZE);
      const canvas = createCanvas(SIZE.widthPx, SIZE.heightPx);
      drawOnCanvas(contextOf(canvas), placements, {
        ...{ kit: serverPaintKit(shaper), scale: 1, ...SIZE },
        program: { image: program as unknown as CanvasImageSource, widthPx: 480, heightPx: 240 },
      });
      return pixels(canvas);
    };
    // A square of it is 240 px wide: from 120 to 360, of which the middle third is 160.
    const seen = shown(window);
    expect([102, 160, 217, 224].map((x) => pixel(seen, x, 110))).toEqual([
      [255, 0, 0, 255],
      [0, 255, 0, 255],
      [0, 0, 255, 255],
      [0, 0, 0, 0],
    ]);
    expect(pixel(shown(tinted), 160, 110)).toEqual([255, 255, 255, 255]);
  });

  test("a group fades as one: what lies over another of its members does not show through", () => {
    const members = [
      rectangle("under", box(40, 40, 200, 120), { kind: "solid", color: "#ff0000" }),
      rectangle("over", box(100, 60, 200, 120), { kind: "solid", color: "#0000ff" }),
    ];
    const data = pixels(draw([group("g", box(0, 0, 480, 270), members, { opacity: 0.5 })]));
    const [r, , b, a] = pixel(data, 150, 100);
    expect([r, b]).toEqual([0, 255]);
    expect(Math.abs((a ?? 0) - 128)).toBeLessThanOrEqual(1);
  });

  test("a group is cut by its shape and blends with what lies beneath", () => {
    const ground = rectangle("ground", box(0, 0, 480, 270), { kind: "solid", color: "#404040" });
    const light = rectangle("light", box(0, 0, 480, 270), { kind: "solid", color: "#800000" });
    const data = pixels(
      draw([
        ground,
        group("g", box(140, 35, 200, 200), [light], { blend: "screen", clip: { kind: "ellipse" } }),
      ]),
    );
    expect(pixel(data, 20, 20)).toEqual([64, 64, 64, 255]);
    // Screen: 255 − (255 − 64)(255 − 128) / 255.
    const [r, g] = pixel(data, 240, 135);
    expect(Math.abs((r ?? 0) - 160)).toBeLessThanOrEqual(1);
    expect(g).toBe(64);
    expect(pixel(data, 145, 40)).toEqual([64, 64, 64, 255]);
  });

  // Source: the PNG specification: colour values are straight, not multiplied by alpha. Read back by the library pngjs.
  test("a PNG with alpha, read by another library, is the picture", () => {
    const canvas = draw([ellipse("e", box(100, 40, 200, 180), { kind: "solid", color: "#ff800080" })]);
    const png = PNG.sync.read(canvas.toBuffer("image/png"));
    expect([png.width, png.height]).toEqual([480, 270]);
    const middle = [...png.data.slice((130 * 480 + 200) * 4, (130 * 480 + 200) * 4 + 4)];
    expect(middle[0]).toBe(255);
    expect(Math.abs((middle[1] ?? 0) - 128)).toBeLessThanOrEqual(1);
    expect(middle[3]).toBe(128);
    expect(png.data[3]).toBe(0);
  });

  test("several shadows are all there, and edges are as sharp as without", () => {
    const plain = pixels(draw([rectangle("r", box(100, 60, 200, 100), solid("words"))]));
    const shadowed = pixels(
      draw([
        rectangle("r", box(100, 60, 200, 100), solid("words"), {
          shadows: [
            { color: "#ff0000ff", blurPx: 10, offsetXPx: -30, offsetYPx: 0 },
            { color: "#0000ffff", blurPx: 10, offsetXPx: 30, offsetYPx: 0 },
          ],
        }),
      ]),
    );
    expect(pixel(shadowed, 200, 110)).toEqual(pixel(plain, 200, 110));
    expect(pixel(shadowed, 85, 110)[0]).toBeGreaterThan(200);
    expect(pixel(shadowed, 315, 110)[2]).toBeGreaterThan(200);
    expect(pixel(plain, 85, 110)[3]).toBe(0);
  });
});
