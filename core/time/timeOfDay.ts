import { z } from "zod";

/** A planned time, HH:MM in the show's time zone; empty when not said. */
export const plannedTimeSchema = z.union([z.literal(""), z.string().regex(/^([01]\d|2[0-3]):[0-5]\d$/)]);
