import { z } from "zod";
import { clipPlaySchema } from "../clips/clipPlay.ts";
import { byNameSchema, nameSchema } from "../names/name.ts";
import { anchorSchema } from "../rundown/anchor.ts";
import { textPlaceSchema } from "../rundown/textPlace.ts";
import { triggerActSchema } from "../triggers/acts.ts";
import {
  effectMsSchema,
  layerSchema,
  outputSchema,
  screenPlanSchema,
  shownPictureSchema,
} from "../venue/plan.ts";
import { onBusesSchema } from "../venue/source.ts";
import { TEST_PICTURES } from "../venue/testPicture.ts";
import { actorSchema } from "./actor.ts";
import { dueSchema } from "./followAndRepeat.ts";
import { armSchema, targetSchema } from "./line.ts";
import { slotPageSchema } from "./slot.ts";
import { chainSchema, triggerIdSchema, WHY_TRIGGER_HELD } from "./triggersState.ts";

const how = z.enum(["animated", "dissolve", "cut"]);
/** Whether the operator's line goes along, what came is an aside, or it came by itself apart from the line. */
const takesLine = z.enum(["moves", "stays", "apart"]).default("moves");

/** What the plan of the evening said of a cue when the line came to it. */
export const plannedSchema = z.strictObject({
  /** When it was to begin, server time ms; null: at no fixed time. */
  atMs: z.number().nullable(),
  /** How long it was to take; null: not said. */
  lengthMs: z.number().nullable(),
});
export type Planned = z.infer<typeof plannedSchema>;

const WHY_DUE_HELD = ["late", "gone", "pressed", "over", "done"] as const;

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
  z.strictObject({
    kind: z.literal("armed"),
    target: targetSchema,
    isJump: z.boolean().default(false),
    /** The arm it lies over. */
    over: armSchema.shape.over,
  }),
  z.strictObject({ kind: z.literal("disarmed") }),
  z.strictObject({
    kind: z.literal("taken"),
    takeId: z.string(),
    target: targetSchema,
    cueIndex: z.number().int().min(0),
    words: textPlaceSchema.nullable().default(null),
    line: takesLine,
    layerId: z.string(),
    /** Null when the step takes the words off. */
    page: slotPageSchema.nullable(),
    /** The only outputs it went to; null: all. */
    outputIds: z.array(z.string()).nullable().default(null),
    how,
    startAtMs: z.number(),
    endsAtMs: z.number().nullable(),
    lastsMs: z.number().min(0),
    effectMs: effectMsSchema.nullable().default(null),
    /** It begins from its start, on air already or not. */
    isAnew: z.boolean().optional(),
    planned: plannedSchema.optional(),
  }),
  /** A cue was taken that brings no page. */
  z.strictObject({
    kind: z.literal("acted"),
    takeId: z.string(),
    target: targetSchema,
    cueIndex: z.number().int().min(0),
    words: textPlaceSchema.nullable().default(null),
    line: takesLine,
    startAtMs: z.number(),
    planned: plannedSchema.optional(),
  }),
  /** Edits that were held went on air: the same cue, with new words. */
  z.strictObject({
    kind: z.literal("sent"),
    layerId: z.string(),
    /** Output → its new page; "" for all that have no slot of their own. */
    pages: byNameSchema(slotPageSchema),
    /** Where the line is in the new words, where its page was sent. */
    place: z
      .strictObject({ cueId: z.string(), step: anchorSchema, words: textPlaceSchema.nullable() })
      .nullable()
      .default(null),
    startAtMs: z.number(),
  }),
  /** A cue came again by itself. */
  z.strictObject({
    kind: z.literal("repeated"),
    layerId: z.string(),
    /** The only outputs it came to; null: all. */
    outputIds: z.array(z.string()).nullable(),
    page: slotPageSchema,
    startAtMs: z.number(),
    endsAtMs: z.number().nullable(),
    lastsMs: z.number().min(0),
    effectMs: effectMsSchema.nullable().default(null),
    due: dueSchema,
  }),
  z.strictObject({ kind: z.literal("dueSet"), due: dueSchema }),
  /**
   * What was due is not done: it was found too late, its cue is gone or cannot come, or somebody held it; or a trigger's: what set it
   * off is over, or it was done.
   */
  z.strictObject({ kind: z.literal("dueHeld"), due: dueSchema, why: z.enum(WHY_DUE_HELD) }),
  z.strictObject({
    kind: z.literal("shut"),
    outputIds: z.array(z.string()),
    picture: z.enum(["black", "standBy"]).nullable(),
    /** With all screens at once. */
    byAll: z.boolean().default(false),
    startAtMs: z.number(),
  }),
  z.strictObject({
    kind: z.literal("stageNoted"),
    /** The take whose cue brought or ended it; null when it was typed. */
    takeId: z.string().nullable().default(null),
    page: slotPageSchema.nullable(),
    startAtMs: z.number(),
  }),
  z.strictObject({ kind: z.literal("standBySet"), picture: shownPictureSchema.nullable() }),
  z.strictObject({ kind: z.literal("layerSet"), layer: layerSchema }),
  z.strictObject({ kind: z.literal("begunAnew") }),
  z.strictObject({
    kind: z.literal("cleared"),
    /** The take that cleared; null when it was pressed. */
    takeId: z.string().nullable().default(null),
    layerIds: z.array(z.string()),
    /** The only outputs it was taken off; null: all. */
    outputIds: z.array(z.string()).nullable().default(null),
    why: z.enum(["out", "clear", "clearEverything"]),
    how,
    startAtMs: z.number(),
  }),
  z.strictObject({
    kind: z.literal("planSwitched"),
    plan: screenPlanSchema,
    /** The script asked for it, or a hand chose it. */
    by: z.enum(["hand", "script"]).default("hand"),
    startAtMs: z.number(),
  }),
  /** A screen was changed, made (before is null) or deleted (after is null): rows, which undo puts back. */
  z.strictObject({
    kind: z.literal("screenChanged"),
    outputId: nameSchema(60),
    before: outputSchema.nullable(),
    after: outputSchema.nullable(),
  }),
  /** The operator goes on from what came as an aside. */
  z.strictObject({
    kind: z.literal("lineMoved"),
    target: targetSchema,
    cueIndex: z.number().int().min(0),
    words: textPlaceSchema.nullable().default(null),
  }),
  z.strictObject({
    kind: z.literal("tested"),
    outputIds: z.array(z.string()),
    picture: z.enum(TEST_PICTURES).nullable(),
    sinceMs: z.number(),
  }),
  z.strictObject({
    kind: z.literal("countdownPaused"),
    layerId: z.string(),
    isPaused: z.boolean(),
    startAtMs: z.number(),
  }),
  /** What a mixer has on its buses. Quiet: it had been away, and nothing comes of what changed meanwhile. */
  z.strictObject({
    kind: z.literal("sourcesChanged"),
    ...onBusesSchema.shape,
    isQuiet: z.boolean(),
    startAtMs: z.number(),
  }),
  /** What the player plays, and how, from a time on; null: nothing. */
  z.strictObject({ kind: z.literal("clipSet"), play: clipPlaySchema.nullable(), startAtMs: z.number() }),
  /** A trigger has acted: the events before it of the same hand are what it did to the air. */
  z.strictObject({
    kind: z.literal("triggered"),
    triggerId: triggerIdSchema,
    name: z.string().max(200),
    /** What set it off, in words. */
    why: z.string().max(300),
    act: triggerActSchema,
    /** What it has brought. */
    put: z.strictObject({ cueId: z.string(), layerId: z.string() }).nullable(),
    chain: chainSchema,
    startAtMs: z.number(),
  }),
  /** What a trigger has brought has left, or is its no more. */
  z.strictObject({
    kind: z.literal("triggerLeft"),
    triggerId: triggerIdSchema,
    name: z.string().max(200),
    startAtMs: z.number(),
  }),
  /** A trigger was to do something and did not. */
  z.strictObject({
    kind: z.literal("triggerHeld"),
    triggerId: triggerIdSchema,
    name: z.string().max(200),
    why: z.enum(WHY_TRIGGER_HELD),
    by: actorSchema.nullable(),
  }),
  /** All triggers were stopped, or let go again. */
  z.strictObject({ kind: z.literal("triggersSet"), areStopped: z.boolean() }),
  /** Triggers are kept off a layer, or may act on it again. */
  z.strictObject({ kind: z.literal("layerKept"), layerId: z.string(), isHeld: z.boolean() }),
  z.strictObject({ kind: z.literal("undone"), actId: z.string(), startAtMs: z.number() }),
]);
export type AirEvent = z.infer<typeof airEventSchema>;

export const loggedEventSchema = z.strictObject({
  seq: z.number().int().min(1),
  atMs: z.number(),
  actor: actorSchema.nullable(),
  /** The command it came of: events of one are one act. Null for what came by itself, and before acts were kept. */
  actId: z.string().nullable().optional(),
  event: airEventSchema,
});
export type LoggedEvent = z.infer<typeof loggedEventSchema>;

/** Contents that an event speaks of, by their hashes. */
export function contentsIn(event: AirEvent): string[] {
  switch (event.kind) {
    case "armed":
    case "taken":
    case "acted":
    case "lineMoved":
      return [event.target.content];
    case "sent":
      return Object.values(event.pages).map(({ content }) => content);
    case "repeated":
      return [event.page.content];
    case "stageNoted":
      return event.page ? [event.page.content] : [];
    default:
      return [];
  }
}
