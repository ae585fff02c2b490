import { z } from "zod";
import { LONGEST_LOOP_MS, loopTrackSchema, trackSchema } from "../motion/track.ts";
import { measureSchema, type Resolved } from "../names/measure.ts";
import { colorRefSchema } from "./houseStyle.ts";

const tracks = z.array(trackSchema).max(24);

/** How one object moves: enter, stay, change and exit. Lengths in px are of the template's canvas. */
export const motionSchema = z.strictObject({
  enter: tracks.default([]),
  /** Mirror: the page's arrival played backwards, easing included. */
  exit: z.union([z.literal("mirror"), tracks]).default([]),
  /** When its content changes while the page stays: the new comes in as the old goes out. */
  change: z.strictObject({ in: tracks.default([]), out: tracks.default([]) }).default({ in: [], out: [] }),
  /** A loop while the page is up, with its own period, on top of where it stands. */
  stay: z
    .strictObject({
      periodMs: measureSchema(100, LONGEST_LOOP_MS),
      delayMs: measureSchema(0, LONGEST_LOOP_MS).default(0),
      tracks: z.array(loopTrackSchema).max(24),
    })
    .nullable()
    .default(null),
  /** Between one member, row, line, word or letter and the next. */
  staggerMs: measureSchema(0, 2_000).default(0),
  /** The blur at track value 1. */
  blurPx: measureSchema(0, 120).default(0),
  /** The colour at track value 1. */
  tint: colorRefSchema.nullable().default(null),
  /** What a track of colour brings the fill to, at value 1. */
  color: colorRefSchema.nullable().default(null),
});
export type Motion = Resolved<z.infer<typeof motionSchema>>;

export const STILL = {
  enter: [],
  exit: [],
  change: { in: [], out: [] },
  stay: null,
  staggerMs: 0,
  blurPx: 0,
  tint: null,
  color: null,
} as const satisfies z.infer<typeof motionSchema>;
