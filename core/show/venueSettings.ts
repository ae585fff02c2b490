import { z } from "zod";
import { keyMapSchema } from "../keys/keyMap.ts";
import { venueLanguageSchema } from "../time/venueLanguage.ts";
import { setLimitsSchema } from "../venue/checkLimits.ts";

/** What a venue has set for all its desks. */
export const venueSettingsSchema = z.strictObject({
  keys: keyMapSchema,
  /** Of dates and times. */
  language: venueLanguageSchema,
  /** What was done is kept in full for so long, and up to so much; then as lines of the log. */
  kept: z.strictObject({
    days: z.number().int().min(7).max(3_650),
    mb: z.number().int().min(10).max(100_000),
  }),
  /** Limits of the check that are other than usual. */
  limits: setLimitsSchema,
});
export type VenueSettings = z.infer<typeof venueSettingsSchema>;

export const USUAL_VENUE: VenueSettings = {
  keys: {},
  language: "en-GB",
  kept: { days: 180, mb: 500 },
  limits: {},
};
