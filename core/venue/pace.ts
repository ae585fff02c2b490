import { FRAME_RATES, type FrameRateName, framesPerSecond } from "../time/timecode.ts";

/** How an output draws while something moves. */
export interface Pace {
  /** Length of a frame that is placed by the clock, ms; null: whenever the screen draws. */
  readonly clockMs: number | null;
  /** Frames that are drawn in a second. */
  readonly perSecond: number;
}

/** What browsers draw where nothing is known of the screen. */
const USUAL_HZ = 60;
/** Rates this close are one: a screen of 59.94 Hz shows 60 frames a second as it can, and none of them twice. */
const SAME_WITHIN = 0.02;

const isSame = (hz: number, screenHz: number): boolean => Math.abs(hz - screenHz) / screenHz < SAME_WITHIN;

/**
 * Chooses how an output draws. Where an output is slower than its screen, all outputs of its rate show the same frames.
 * @param screenHz frames that the screen of its window draws in a second; null: not measured yet
 */
export function paceOf(rate: FrameRateName, screenHz: number | null): Pace {
  const screen = screenHz ?? USUAL_HZ;
  const own = framesPerSecond(FRAME_RATES[rate]);
  const perSecond = isSame(own, screen) ? screen : Math.min(own, screen);
  return { clockMs: perSecond === screen ? null : 1_000 / own, perSecond };
}

/**
 * Two pictures of 1920 by 1080 and a little. Measured without a graphics processor: words and a crawl keep 60 frames a second in
 * 3840 by 2160; with a clip beneath them each frame takes seven. To draw every second frame was tried: it mends nothing.
 */
const MOST_PIXELS_BY_PROCESSOR = 5_000_000;

/** Whether it matters if a graphics processor draws a picture of so many pixels. */
export const needsGpu = (pixels: number): boolean => pixels > MOST_PIXELS_BY_PROCESSOR;

/** Fewer frames than this say too little. */
const FEWEST_STAMPS = 60;

/**
 * How often a screen draws, from the times of its frames. Some are missed on a busy machine: each step counts as so many frames as
 * fit into it.
 * @param stampsMs times of frames one after another, ms
 * @returns frames in a second; null where there are too few, or more than half of them came late
 */
export function screenHzOf(stampsMs: readonly number[]): number | null {
  if (stampsMs.length < FEWEST_STAMPS) return null;
  const steps = stampsMs.slice(1).map((at, i) => at - (stampsMs[i] as number));
  // The shortest are single frames; one of them may be a late one before one in time.
  const single = [...steps].sort((a, b) => a - b)[Math.floor(steps.length / 10)] as number;
  if (!(single > 1)) return null;
  let frames = 0;
  let singles = 0;
  for (const step of steps) {
    const count = Math.round(step / single);
    frames += count;
    if (count === 1 && Math.abs(step / single - 1) < 0.2) singles++;
  }
  if (singles < steps.length / 2) return null;
  return (1_000 * frames) / ((stampsMs.at(-1) as number) - (stampsMs[0] as number));
}
