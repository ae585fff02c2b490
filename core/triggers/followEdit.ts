import { z } from "zod";
import { sourceSchema } from "../venue/source.ts";
import { followSettingsSchema } from "./followSettings.ts";
import { triggerSchema } from "./trigger.ts";

const revision = z.number().int().min(0);
const id = z.string().min(1).max(80);

/** What may be done to sources and triggers. A revision is the one that the person saw; 0: it is new. */
export const followEditSchema = z.discriminatedUnion("kind", [
  z.strictObject({ kind: z.literal("saveSource"), source: sourceSchema, baseRevision: revision }),
  z.strictObject({ kind: z.literal("removeSource"), id }),
  z.strictObject({ kind: z.literal("saveTrigger"), trigger: triggerSchema, baseRevision: revision }),
  z.strictObject({ kind: z.literal("removeTrigger"), id }),
  z.strictObject({ kind: z.literal("settings"), settings: followSettingsSchema }),
]);
export type FollowEdit = z.infer<typeof followEditSchema>;
