import { z } from "zod";
import { nameSchema } from "../names/name.ts";
import { venueLanguageSchema } from "../time/venueLanguage.ts";

/** What a screen is for: it gives the outfit, and whether it lies over another picture. */
export const SCREEN_USES = ["hall", "stream", "stage", "portrait", "ribbon"] as const;
export type ScreenUse = (typeof SCREEN_USES)[number];

export const firstScreenSchema = z.strictObject({
  name: z.string().trim().min(1).max(60),
  widthPx: z.number().int().min(16).max(16_000),
  heightPx: z.number().int().min(16).max(16_000),
  use: z.enum(SCREEN_USES),
});
export type FirstScreen = z.infer<typeof firstScreenSchema>;

/** What a house says of itself before its first evening. */
export const firstStepsSchema = z.strictObject({
  /** Name of the house. */
  place: z.string().trim().max(80),
  /** How dates and times are written. */
  language: venueLanguageSchema,
  /** A house style of the venue. */
  styleId: nameSchema(80),
  screens: z.array(firstScreenSchema).min(1).max(12),
  /** Code of the scripture text that readings come from; empty: no reading. */
  text: z.string().max(40),
});
export type FirstSteps = z.infer<typeof firstStepsSchema>;
