import { z } from "zod";
import { shownPictureSchema } from "../venue/plan.ts";

/** What an output shows in place of its picture: nothing but black, or its stand-by. It fades in and out. */
export const shutterSchema = z.strictObject({
  picture: z.enum(["black", "standBy"]),
  /** The show's stand-by as it was when it was shut. */
  standBy: shownPictureSchema.nullable().default(null),
  sinceMs: z.number(),
  /** When it was opened again; null while it is shut. */
  untilMs: z.number().nullable(),
  /** Shut with all screens at once: "back" opens these, and leaves what was shut by itself before. */
  byAll: z.boolean().default(false),
});
export type Shutter = z.infer<typeof shutterSchema>;
