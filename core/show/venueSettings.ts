import { z } from "zod";
import { keyMapSchema } from "../keys/keyMap.ts";
import { venueLanguageSchema } from "../time/venueLanguage.ts";

/** What a venue has set for all its desks. */
export const venueSettingsSchema = z.strictObject({
  keys: keyMapSchema,
  /** Of dates and times. */
  language: venueLanguageSchema,
});
export type VenueSettings = z.infer<typeof venueSettingsSchema>;

export const USUAL_VENUE: VenueSettings = { keys: {}, language: "en-GB" };
