import { z } from "zod";
import { oscAddressSchema } from "./whens/message.ts";

const tally = z.union([z.literal(1), z.literal(2), z.literal(3), z.literal(4)]);

/** What a venue has set of how other devices are understood, and of how much triggers may do. */
export const followSettingsSchema = z.strictObject({
  /** So many acts of triggers in any second, and no more. */
  mostActsPerSecond: z.number().int().min(1).max(50).default(5),
  /** Which of the four tallies of UMD 3.1 means what; version 5.0 has colours. */
  umd31: z.strictObject({ program: tally, preview: tally }).default({ program: 1, preview: 2 }),
  /** Messages by which a mixer says which input is on program and on preview: the first value is the number of the input. */
  oscProgram: oscAddressSchema.default("/mixer/program"),
  oscPreview: oscAddressSchema.default("/mixer/preview"),
  /** Messages by which a player beside the mixer says its clip (name, seconds) and its place (seconds, runs or not). */
  oscClip: oscAddressSchema.default("/player/clip"),
  oscPlace: oscAddressSchema.default("/player/place"),
  /** What others are told at every take and out, with facts of it in braces; empty: nothing. A message, and an address of the web. */
  tellOsc: z.string().max(300).default(""),
  tellHttp: z.string().max(600).default(""),
});
export type FollowSettings = z.infer<typeof followSettingsSchema>;
export const USUAL_FOLLOW: FollowSettings = followSettingsSchema.parse({});
