import { expect, test } from "vitest";
import { NO_ADJUSTMENT } from "../../core/scene/adjustment.ts";
import { FRAME_RATES } from "../../core/time/timecode.ts";
import { box, crawl } from "../../designs/parts.ts";
import { prepareBench } from "../../test-support/contents.ts";
import { HD, lay, templateOf } from "../../test-support/pages.ts";
import { crawlFactsOf } from "./crawlFacts.ts";

const bench = prepareBench();
const WORDS = "Soup in the sail room";
const strip = crawl("c", "items", box(0, 0, 1_000, 80), 40, { speed: { kind: "pxPerSecond", px: 120 } });
const factsOn = (output: { widthPx: number; heightPx: number }, more = {}) =>
  crawlFactsOf(
    lay(templateOf(strip), { items: WORDS }, bench.shaper, { output, ...more }),
    FRAME_RATES["60"],
  )[0];

test("a crawl's figures on a screen, and as its template says them; a screen of half the size has half the pixels", () => {
  const whole = factsOn(HD);
  const half = factsOn({ widthPx: 960, heightPx: 540 });
  expect(whole?.field).toBe("items");
  expect(whole?.onScreen).toMatchObject({
    pxPerSecond: expect.closeTo(120, 6),
    pxPerFrame: expect.closeTo(2, 6),
  });
  expect(half?.onScreen.pxPerSecond).toBeCloseTo(60, 6);
  expect(half?.onCanvas.pxPerSecond).toBeCloseTo(120, 6);
  // Five words: the reading speed is the same wherever it is seen, but for rounding to whole pixels.
  expect(half?.wordsPerMinute).toBeCloseTo(whole?.wordsPerMinute ?? 0, -1);
});

test("a speed said in one figure gives that figure back", () => {
  const adjust = { items: { ...NO_ADJUSTMENT, speed: { kind: "passSeconds", seconds: 20 } as const } };
  expect(factsOn(HD, { adjust })?.onScreen.passSeconds).toBeCloseTo(20, 6);
  const px = factsOn(HD, { adjust })?.onCanvas.pxPerFrame ?? 0;
  const again = { items: { ...NO_ADJUSTMENT, speed: { kind: "pxPerFrame", px } as const } };
  expect(factsOn(HD, { adjust: again })?.onScreen.passSeconds).toBeCloseTo(20, 6);
  expect(crawlFactsOf(lay(templateOf(), {}, bench.shaper), FRAME_RATES["60"])).toEqual([]);
});
