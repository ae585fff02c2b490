import { z } from "zod";
import { nameSchema } from "../names/name.ts";
import { chainSchema, triggerIdSchema } from "./triggersState.ts";

/** Something that will happen by itself. */
export const dueSchema = z.discriminatedUnion("kind", [
  /** A cue that follows the one before it. */
  z.strictObject({ kind: z.literal("follow"), cueId: nameSchema(60), atMs: z.number() }),
  /** A cue that comes again while its layer keeps it. */
  z.strictObject({
    kind: z.literal("repeat"),
    cueId: nameSchema(60),
    layerId: nameSchema(40),
    everyMs: z.number().min(1_000),
    atMs: z.number(),
  }),
  /** A trigger that was set off and waits for its delay. */
  z.strictObject({
    kind: z.literal("trigger"),
    triggerId: triggerIdSchema,
    /** What it was called then. */
    name: z.string().max(200),
    /** What set it off, in words. */
    why: z.string().max(300),
    /** The last event before that: what a hand has done since goes before it. */
    setSeq: z.number().int().min(0),
    chain: chainSchema,
    atMs: z.number(),
  }),
]);
export type Due = z.infer<typeof dueSchema>;

/** What is found more overdue than this, after a restart or a sleep of the machine, is held and told. */
export const OVERDUE_MS = 2_000;

/** Whether two are the same thing to come by itself, whenever. */
export const isSameDue = (a: Due, b: Due): boolean => {
  if (a.kind === "trigger" || b.kind === "trigger")
    return a.kind === "trigger" && b.kind === "trigger" && a.triggerId === b.triggerId;
  return (
    a.kind === b.kind &&
    a.cueId === b.cueId &&
    (a.kind !== "repeat" || (b.kind === "repeat" && a.layerId === b.layerId))
  );
};
