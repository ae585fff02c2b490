import { z } from "zod";
import { layerSchema, screenPlanSchema } from "../screens/plan.ts";
import { TEST_PICTURES } from "../screens/testPicture.ts";
import { slotPageSchema } from "./slot.ts";
import { actorSchema, targetSchema } from "./state.ts";

const how = z.enum(["animated", "dissolve", "cut"]);

/** What happened to the air. Written down before anybody is told; never changed after. */
export const airEventSchema = z.discriminatedUnion("kind", [
  z.strictObject({
    kind: z.literal("showOpened"),
    showId: z.string(),
    layers: z.array(layerSchema),
    /** IANA zone for times of day. */
    timeZone: z.string().min(1).max(80),
    plan: screenPlanSchema,
  }),
  z.strictObject({ kind: z.literal("armed"), target: targetSchema }),
  z.strictObject({ kind: z.literal("disarmed") }),
  z.strictObject({
    kind: z.literal("taken"),
    takeId: z.string(),
    target: targetSchema,
    cueIndex: z.number().int().min(0),
    layerId: z.string(),
    /** Null when the step takes the words off. */
    page: slotPageSchema.nullable(),
    /** The only outputs it went to; null: all. */
    outputIds: z.array(z.string()).nullable().default(null),
    how,
    startAtMs: z.number(),
    endsAtMs: z.number().nullable(),
    lastsMs: z.number().min(0),
  }),
  z.strictObject({
    kind: z.literal("cleared"),
    layerIds: z.array(z.string()),
    why: z.enum(["out", "clear", "clearEverything"]),
    how,
    startAtMs: z.number(),
  }),
  z.strictObject({ kind: z.literal("planSwitched"), plan: screenPlanSchema, startAtMs: z.number() }),
  z.strictObject({
    kind: z.literal("tested"),
    outputIds: z.array(z.string()),
    picture: z.enum(TEST_PICTURES).nullable(),
    sinceMs: z.number(),
  }),
  z.strictObject({ kind: z.literal("takeUndone"), takeId: z.string(), startAtMs: z.number() }),
]);
export type AirEvent = z.infer<typeof airEventSchema>;

export const loggedEventSchema = z.strictObject({
  seq: z.number().int().min(1),
  atMs: z.number(),
  actor: actorSchema.nullable(),
  event: airEventSchema,
});
export type LoggedEvent = z.infer<typeof loggedEventSchema>;
