import { FRAME_RATES, type FrameRateName, framesPerSecond } from "../time/timecode.ts";

/** How an output draws while something moves. */
export interface Pace {
  /** Length of a frame that is placed by the clock, ms; null: whenever the screen draws. */
  readonly clockMs: number | null;
  /** Frames that are drawn in a second. */
  readonly perSecond: number;
  /** Of how many frames of its screen it draws one: a processor alone cannot put so many pixels together more often. */
  readonly everyNth: number;
}

/** What is known of the machine and the screen of a window. */
export interface Measured {
  /** Frames that its screen draws in a second; null: not measured yet. */
  readonly screenHz: number | null;
  readonly hasGpu: boolean | null;
  /** Pixels of its picture in its window. */
  readonly pixels: number;
  /** How many frames of its screen one takes to be drawn; null: nothing moved yet. */
  readonly framesForOne: number | null;
}

/** What browsers draw where nothing is known of the screen. */
const USUAL_HZ = 60;
/** Rates this close are one: a screen of 59.94 Hz shows 60 frames a second as it can, and none of them twice. */
const SAME_WITHIN = 0.02;
/**
 * Two pictures of 1920 by 1080 and a little. Measured without a graphics processor: one of twice that width misses as many frames
 * as one of 1920; one of 3840 by 2160 took four to seven frames for each.
 */
const MOST_PIXELS_BY_PROCESSOR = 5_000_000;
/** It is never slower than 15 frames of 60. */
const SLOWEST_NTH = 4;
/** Before it was seen. */
export const FIRST_NTH = 2;
/** An output this slow is let be. */
const SLOWED_ABOVE = 31;

const isSame = (hz: number, screenHz: number): boolean => Math.abs(hz - screenHz) / screenHz < SAME_WITHIN;

/** Whether it matters if a graphics processor draws a window of so many pixels. */
export const needsGpu = (pixels: number): boolean => pixels > MOST_PIXELS_BY_PROCESSOR;

/** Chooses how an output draws. Where an output is slower than its screen, all outputs of its rate show the same frames. */
export function paceOf(rate: FrameRateName, { screenHz, hasGpu, pixels, framesForOne }: Measured): Pace {
  const screen = screenHz ?? USUAL_HZ;
  const own = framesPerSecond(FRAME_RATES[rate]);
  const wanted = isSame(own, screen) ? own : Math.min(own, screen);
  const isSlowed = hasGpu === false && needsGpu(pixels) && wanted > SLOWED_ABOVE;
  const everyNth = isSlowed ? Math.min(SLOWEST_NTH, framesForOne ?? FIRST_NTH) : 1;
  const perSecond = wanted / everyNth;
  return isSame(perSecond, screen)
    ? { clockMs: null, perSecond: screen, everyNth }
    : { clockMs: 1_000 / perSecond, perSecond, everyNth };
}

/** A few frames late do not make it slower. */
const FORGIVEN = 0.25;

/**
 * How many frames of its screen one took to be drawn while something moved.
 * @param drawn frames, at least one
 * @param missed those that should have come between them
 */
export const framesForOne = (drawn: number, missed: number, everyNth: number): number =>
  Math.max(1, Math.ceil(everyNth * (1 + missed / drawn) - FORGIVEN));

/** Fewer frames than this say too little. */
const FEWEST_STAMPS = 60;

/**
 * How often a screen draws, from the times of its frames. Some are missed on a busy machine: each step counts as so many frames as
 * fit into it.
 * @param stampsMs times of frames one after another, ms
 * @returns frames in a second; null where there are too few, or they are no multiples of one frame
 */
export function screenHzOf(stampsMs: readonly number[]): number | null {
  if (stampsMs.length < FEWEST_STAMPS) return null;
  const steps = stampsMs.slice(1).map((at, i) => at - (stampsMs[i] as number));
  // The shorter ones are single frames; the very shortest may be a late one before one in time.
  const single = [...steps].sort((a, b) => a - b)[Math.floor(steps.length / 4)] as number;
  if (!(single > 1)) return null;
  let frames = 0;
  let near = 0;
  for (const step of steps) {
    const count = Math.round(step / single);
    frames += count;
    if (Math.abs(step / single - count) < 0.2) near++;
  }
  if (near < steps.length * 0.7) return null;
  return (1_000 * frames) / ((stampsMs.at(-1) as number) - (stampsMs[0] as number));
}
