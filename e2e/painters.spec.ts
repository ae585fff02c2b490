import { PNG } from "pngjs";
import { composeSlot } from "../core/compose/compose.ts";
import { type Placement, placementsAt } from "../core/compose/placements.ts";
import type { Shaper } from "../core/text/shaper.ts";
import { isAtRest } from "../painters/geometry.ts";
import { loadShaper } from "../server/fonts/shippedFonts.ts";
import { drawPlacements, serverPaintKit } from "../server/stills/serverCanvas.ts";
import { box, make, move } from "../test-support/designs.ts";
import { arrivingAt0 } from "../test-support/moments.ts";
import { HD, lay } from "../test-support/pages.ts";
import { SEEDED_SIZE, SEEDED_VALUES, seededTemplate } from "../test-support/seededTemplate.ts";
import { CLIP, timelineOf } from "../test-support/takes.ts";
import { expect, test } from "./support/show.ts";

const SEEDS = 500;
const AT_ONCE = 20;
/** Of those, so many are also shown as stacked elements. */
const SHOWN = 60;
const { widthPx, heightPx } = SEEDED_SIZE;
const GROUND = "#24384a";

/** A seeded page in the midst of its arrival, or after it. */
function placed(seed: number, shaper: Shaper): Placement[] {
  const laidOut = lay(seededTemplate(seed), SEEDED_VALUES, shaper, { output: SEEDED_SIZE });
  const pieces = composeSlot([arrivingAt0], "page", () => ({ templateHash: "one", laidOut }));
  return placementsAt({ pieces }, seed % 2 === 0 ? 430 : 5_000, SEEDED_SIZE);
}

/** Whether anything is turned, grown or between pixels: plates are resampled then, which two builds of a rasteriser do each in its way. */
const isResampled = (placements: readonly Placement[]): boolean =>
  placements.some(
    (one) =>
      !isAtRest({ ...one.pose, offsetXPx: 0, offsetYPx: 0 }) ||
      one.pose.offsetXPx % 1 !== 0 ||
      one.pose.offsetYPx % 1 !== 0 ||
      (one.kind === "group" && isResampled(one.children)),
  );

/** How far two pictures are apart, colours by their alpha: the largest, and the share of samples more than 2 apart. */
function compare(ours: ArrayLike<number>, theirs: ArrayLike<number>) {
  let largest = 0;
  let apart = 0;
  for (let i = 0; i < ours.length; i += 4) {
    const [a, b] = [(ours[i + 3] as number) / 255, (theirs[i + 3] as number) / 255];
    for (let channel = 0; channel < 4; channel++) {
      const by =
        channel === 3
          ? Math.abs(a - b) * 255
          : Math.abs((ours[i + channel] as number) * a - (theirs[i + channel] as number) * b);
      if (by > 2.5) apart++;
      largest = Math.max(largest, by);
    }
  }
  return { largest: Math.round(largest * 10) / 10, share: apart / ours.length };
}

test(`seeds 1 to ${SEEDS}: templates of every kind of object, moving and at rest, are the same from every painter`, async ({
  page,
  show,
}) => {
  // Two minutes alone, five beside the other worker on two slow cores.
  test.setTimeout(600_000);
  const shaper = await loadShaper();
  const kit = serverPaintKit(shaper);
  await page.goto(`${show.base}/gallery`);
  await expect.poll(() => page.evaluate(() => window.paintDoor !== undefined)).toBe(true);
  const onCanvas: { seed: number; resampled: boolean; largest: number; share: number }[] = [];
  for (let from = 1; from <= SEEDS; from += AT_ONCE) {
    const seeds = Array.from({ length: AT_ONCE }, (_, i) => from + i);
    const pages = seeds.map((seed) => placed(seed, shaper));
    const theirs = await page.evaluate(
      ([list, w, h]) =>
        (JSON.parse(list) as (readonly Placement[])[]).map(
          (placements) => window.paintDoor?.onCanvas(placements, w, h) ?? "",
        ),
      // Arguments are taken apart value by value; a text goes over as it is.
      [JSON.stringify(pages), widthPx, heightPx] as const,
    );
    for (const [i, placements] of pages.entries()) {
      const ours = drawPlacements(placements, SEEDED_SIZE, 1, kit);
      const { data } = ours.getContext("2d").getImageData(0, 0, widthPx, heightPx);
      onCanvas.push({
        seed: seeds[i] as number,
        resampled: isResampled(placements),
        ...compare(data, Buffer.from(theirs[i] as string, "base64")),
      });
    }
  }
  const asElements: typeof onCanvas = [];
  for (let seed = 1; seed <= SHOWN; seed++) {
    const placements = placed(seed, shaper);
    await page.evaluate(([list, w, h, ground]) => window.paintDoor?.openStage(w, h, ground).draw(list), [
      placements,
      widthPx,
      heightPx,
      GROUND,
    ] as const);
    const shot = await page.screenshot({ clip: { x: 0, y: 0, width: widthPx, height: heightPx } });
    const ours = drawPlacements(placements, SEEDED_SIZE, 1, kit, GROUND);
    const { data } = ours.getContext("2d").getImageData(0, 0, widthPx, heightPx);
    asElements.push({ seed, resampled: isResampled(placements), ...compare(data, PNG.sync.read(shot).data) });
  }
  const over = (all: typeof onCanvas, resampled: boolean, share: number) =>
    all.filter((one) => one.resampled === resampled && one.share > share);
  // Of what lies on whole pixels few samples are apart: half-clear gradients and edges under their own shadow, rounded otherwise.
  expect(over(onCanvas, false, 0.03)).toEqual([]);
  expect(over(asElements, false, 0.005)).toEqual([]);
  expect(over(onCanvas, true, 0.08)).toEqual([]);
  expect(over(asElements, true, 0.06)).toEqual([]);
  // Most are as good as equal.
  expect(onCanvas.filter(({ share }) => share < 0.005).length).toBeGreaterThan(SEEDS * 0.8);
});

test("a tint over a clip that is seen through colours what of it is seen, and nothing else", async ({
  page,
  show,
}) => {
  const shaper = await loadShaper();
  await page.goto(`${show.base}/gallery`);
  await expect.poll(() => page.evaluate(() => window.paintDoor !== undefined)).toBe(true);
  // Its left half is red, its right half clear.
  const recorded = await page.evaluate(async () => {
    const canvas = Object.assign(document.createElement("canvas"), { width: 640, height: 360 });
    const context = canvas.getContext("2d");
    const recorder = new MediaRecorder(canvas.captureStream(), { mimeType: "video/webm;codecs=vp8" });
    const pieces: Blob[] = [];
    recorder.ondataavailable = ({ data }) => pieces.push(data);
    recorder.start(50);
    while (pieces.length < 6) {
      await new Promise(requestAnimationFrame);
      if (!context) throw new Error("no canvas");
      context.fillStyle = pieces.length % 2 ? "#ff0000" : "#fe0000";
      context.fillRect(0, 0, 320, 360);
    }
    const ended = new Promise((resolve) => {
      recorder.onstop = resolve;
    });
    recorder.stop();
    await ended;
    const bytes = new Uint8Array(await new Blob(pieces).arrayBuffer());
    return btoa(bytes.reduce((text, byte) => text + String.fromCharCode(byte), ""));
  });
  await page.route(`**/${CLIP.file}`, (route) =>
    route.fulfill({ body: Buffer.from(recorded, "base64"), contentType: "video/webm" }),
  );
  const clip = make("video", {
    id: "clip",
    box: box(0, 0, 640, 360),
    source: { kind: "media", hash: CLIP.file },
    motion: { enter: [move("tint", 0, 1, 1_000, 0, "linear")], tint: "#0000ff" },
  });
  const timeline = timelineOf(shaper, [clip], [{ atMs: 0, values: {} }]);
  const colors = async (atMs: number) => {
    await page.evaluate(([list, w, h, ground]) => window.paintDoor?.openStage(w, h, ground).draw(list), [
      placementsAt(timeline, atMs, HD).map((one) => ({ ...one, isPlaying: false, positionMs: 0 })),
      640,
      360,
      GROUND,
    ] as const);
    return async () => {
      const shot = PNG.sync.read(await page.screenshot({ clip: { x: 0, y: 0, width: 640, height: 360 } }));
      return [160, 480].map((x) => [...shot.data.subarray((180 * 640 + x) * 4, (180 * 640 + x) * 4 + 3)]);
    };
  };
  const ground = [36, 56, 74];
  const close = (a: readonly number[], b: readonly number[]) =>
    a.every((value, i) => Math.abs(value - (b[i] ?? 0)) < 12);
  for (const [atMs, expected] of [
    [1_000, [0, 0, 255]],
    [500, [128, 0, 128]],
    [0, [255, 0, 0]],
  ] as const) {
    const seen = await colors(atMs);
    await expect
      .poll(async () => {
        const [left, right] = await seen();
        return left && right && close(left, expected) && close(right, ground) ? "as meant" : [left, right];
      })
      .toBe("as meant");
  }
});
