import { z } from "zod";

/** One screen: its own size and shape. */
export const outputSchema = z.strictObject({
  id: z.string().min(1).max(60),
  name: z.string().min(1).max(60),
  widthPx: z.number().int().min(16).max(16_000),
  heightPx: z.number().int().min(16).max(16_000),
  backdrop: z.enum(["opaque", "transparent"]),
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
