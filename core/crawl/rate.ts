import { z } from "zod";
import { type FrameRate, framesPerSecond } from "../time/timecode.ts";

/** How fast a crawl goes, as people say it. Each can be computed from the others once the travel is known. */
export const crawlSpeedSchema = z.discriminatedUnion("kind", [
  z.strictObject({ kind: z.literal("pxPerFrame"), px: z.number().positive().max(400) }),
  z.strictObject({ kind: z.literal("pxPerSecond"), px: z.number().positive().max(20_000) }),
  /** One pass from fully outside to fully outside. */
  z.strictObject({ kind: z.literal("passSeconds"), seconds: z.number().positive().max(7_200) }),
]);
export type CrawlSpeed = z.infer<typeof crawlSpeedSchema>;

/** The way of one pass: the text comes in from outside the box and leaves it on the other side (common practice). */
export const travelPx = (boxPx: number, lengthPx: number): number => boxPx + lengthPx;

/** Speed in px/s. @throws when the speed is not above zero */
export function pxPerSecondOf(speed: CrawlSpeed, travel: number, rate: FrameRate): number {
  const px = ((): number => {
    switch (speed.kind) {
      case "pxPerFrame":
        return speed.px * framesPerSecond(rate);
      case "pxPerSecond":
        return speed.px;
      case "passSeconds":
        return travel / speed.seconds;
    }
  })();
  if (!(px > 0 && Number.isFinite(px))) throw new Error(`A crawl must move: ${px} px/s`);
  return px;
}

/** All three figures of one crawl. */
export interface CrawlFigures {
  readonly pxPerFrame: number;
  readonly pxPerSecond: number;
  readonly passSeconds: number;
}

export function crawlFigures(speed: CrawlSpeed, travel: number, rate: FrameRate): CrawlFigures {
  const pxPerSecond = pxPerSecondOf(speed, travel, rate);
  return { pxPerSecond, pxPerFrame: pxPerSecond / framesPerSecond(rate), passSeconds: travel / pxPerSecond };
}

/**
 * Words a reader is given in a minute: the words of the strip against the time they take past one point.
 * A BBC guideline for subtitles is 160 to 180 words a minute (from memory).
 */
export function wordsPerMinute(words: number, lengthPx: number, pxPerSecond: number): number {
  return lengthPx > 0 ? (words / (lengthPx / pxPerSecond)) * 60 : 0;
}
