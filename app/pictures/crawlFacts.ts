import { type CrawlFigures, crawlFigures, travelPx, wordsPerMinute } from "../../core/crawl/rate.ts";
import type { LaidOutPage } from "../../core/scene/part.ts";
import type { FrameRate } from "../../core/time/timecode.ts";

/** A crawl as it goes on one screen. */
export interface CrawlFacts {
  /** The field its words come from. */
  readonly field: string | null;
  /** In pixels of the screen. */
  readonly onScreen: CrawlFigures;
  /** In pixels of the template's canvas, in which a page says its speed. */
  readonly onCanvas: CrawlFigures;
  readonly wordsPerMinute: number;
}

/** What crawls on a laid-out page. @param frameRate of the screen */
export function crawlFactsOf({ parts }: LaidOutPage, frameRate: FrameRate): CrawlFacts[] {
  return parts.flatMap(({ content }) => {
    if (content.kind !== "strip") return [];
    const { box, lengthPx, pxPerMs, words, towards, field, scale } = content;
    const travel = travelPx(towards === "left" || towards === "right" ? box.width : box.height, lengthPx);
    const figures = (px: number, way: number) => crawlFigures({ kind: "pxPerSecond", px }, way, frameRate);
    const px = pxPerMs * 1_000;
    return {
      field,
      onScreen: figures(px, travel),
      onCanvas: figures(px / scale, travel / scale),
      wordsPerMinute: wordsPerMinute(words, lengthPx, px),
    };
  });
}
