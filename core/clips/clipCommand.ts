import { z } from "zod";
import { nameSchema } from "../names/name.ts";

/** What can be done to the player. */
export const clipDoesSchema = z.discriminatedUnion("kind", [
  z.strictObject({ kind: z.literal("play"), clipId: nameSchema(60) }),
  z.strictObject({ kind: z.literal("pause") }),
  z.strictObject({ kind: z.literal("goOn") }),
  /** The one after it in the list. */
  z.strictObject({ kind: z.literal("next") }),
  z.strictObject({ kind: z.literal("stop") }),
]);
export type ClipDoes = z.infer<typeof clipDoesSchema>;
