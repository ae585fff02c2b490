import type { Page } from "@playwright/test";

const FRAME_MS = 1_000 / 60;

/** What a window's frames were like over a while. */
export interface Frames {
  readonly intervals: readonly number[];
  /** Frames that should have come and did not, in percent. */
  readonly missedPercent: number;
}

/** Watches the frames of some windows at the same time. */
export async function watchFrames(pages: readonly Page[], seconds: number): Promise<Frames> {
  const perPage = await Promise.all(
    pages.map(async (page) => {
      // The TypeScript loader names functions by a helper that pages do not have.
      await page.evaluate("globalThis.__name = (f) => f");
      return page.evaluate(async (wantedMs) => {
        const times: number[] = [];
        const until = performance.now() + wantedMs;
        await new Promise<void>((resolve) => {
          const frame = (at: number) => {
            times.push(at);
            if (performance.now() < until) requestAnimationFrame(frame);
            else resolve();
          };
          requestAnimationFrame(frame);
        });
        return times;
      }, seconds * 1_000);
    }),
  );
  const intervals = perPage.flatMap((times) => times.slice(1).map((at, i) => at - (times[i] as number)));
  const missed = intervals.reduce((sum, ms) => sum + Math.max(0, Math.round(ms / FRAME_MS) - 1), 0);
  return { intervals, missedPercent: (100 * missed) / (missed + intervals.length) };
}
