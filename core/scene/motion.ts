import { z } from "zod";
import { LONGEST_LOOP_MS, loopTrackSchema, trackSchema } from "../motion/track.ts";
import { colorRefSchema } from "./houseStyle.ts";

const tracks = z.array(trackSchema).max(16);

/** How one object moves: enter, stay, change and exit. Lengths in px are of the template's canvas. */
export const motionSchema = z.strictObject({
  enter: tracks,
  /** Mirror: the page's arrival played backwards, easing included. */
  exit: z.union([z.literal("mirror"), tracks]),
  /** When its content changes while the page stays: the new comes in as the old goes out. */
  change: z.strictObject({ in: tracks, out: tracks }),
  /** A loop while the page is up, with its own period, on top of where it stands. */
  stay: z
    .strictObject({
      periodMs: z.number().min(100).max(LONGEST_LOOP_MS),
      delayMs: z.number().min(0).max(LONGEST_LOOP_MS),
      tracks: z.array(loopTrackSchema).max(16),
    })
    .nullable(),
  /** Between one member, row, line, word or letter and the next. */
  staggerMs: z.number().min(0).max(2_000),
  /** The blur at track value 1. */
  blurPx: z.number().min(0).max(120),
  /** The colour at track value 1. */
  tint: colorRefSchema.nullable(),
});
export type Motion = z.infer<typeof motionSchema>;

export const STILL: Motion = {
  enter: [],
  exit: [],
  change: { in: [], out: [] },
  stay: null,
  staggerMs: 0,
  blurPx: 0,
  tint: null,
};
