import type { Canvas } from "../venue/plan.ts";
import type { PageOnScreen, WordsOnPage } from "./pageFacts.ts";

/** What has to be painted to be known: it comes from whoever has a painter. */
export interface Measures {
  /**
   * How well words are read against what truly lies behind them, the least over the length of what moves there.
   * @param pages what the screen shows, from the back to the front
   * @param at which of them has the words
   * @returns 1 to 21; null where no letters are seen; "waits" while pictures are on their way
   */
  readonly contrast: (
    pages: readonly PageOnScreen[],
    at: number,
    words: WordsOnPage,
  ) => number | null | "waits";
  /**
   * How bright a page is in cells of a grid, frame by frame, from when it comes.
   * @returns relative luminance 0 to 1, row by row, one list for each frame; null where nothing of it may flash
   */
  readonly brightness: (page: PageOnScreen, canvas: Canvas) => FrameBrightness | null | "waits";
}

export interface FrameBrightness {
  readonly columns: number;
  readonly rows: number;
  readonly framesPerSecond: number;
  readonly frames: readonly ArrayLike<number>[];
}

/** Where nothing can be painted: what is seen is not judged. */
export const NO_MEASURES: Measures = { contrast: () => null, brightness: () => null };
