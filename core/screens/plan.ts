import { z } from "zod";
import { FRAME_RATES, type FrameRateName } from "../time/timecode.ts";

const frameRateNames = Object.keys(FRAME_RATES) as [FrameRateName, ...FrameRateName[]];

/** One screen: its own size and shape. */
export const outputSchema = z.strictObject({
  id: z.string().min(1).max(60),
  name: z.string().min(1).max(60),
  widthPx: z.number().int().min(16).max(16_000),
  heightPx: z.number().int().min(16).max(16_000),
  backdrop: z.enum(["opaque", "transparent"]),
  /** What crawl speeds in px per frame are counted in. */
  frameRate: z.enum(frameRateNames),
  /** The picture, or one half of it for an external keyer: its colours over black, or its alpha as white. */
  signal: z.enum(["picture", "fill", "key"]),
  /** Whether clips are heard here. */
  sound: z.boolean(),
  /** Whether the program picture lies beneath all layers here. */
  program: z.boolean(),
});
export type Output = z.infer<typeof outputSchema>;

/** For every output: which layers it shows, from the back to the front, and in which outfit. */
export const screenPlanSchema = z.strictObject({
  id: z.string().max(60),
  name: z.string().max(60),
  outputs: z.record(
    z.string(),
    z.strictObject({ outfitId: z.string().max(60), layerIds: z.array(z.string().max(40)).max(40) }),
  ),
});
export type ScreenPlan = z.infer<typeof screenPlanSchema>;

/** One of the layers that pages lie on. Persistent: survives "clear". */
export const layerSchema = z.strictObject({
  id: z.string().min(1).max(40),
  name: z.string().min(1).max(40),
  persistent: z.boolean(),
});
export type Layer = z.infer<typeof layerSchema>;
