import { z } from "zod";
import { nameSchema } from "../../names/name.ts";
import { adjustmentsSchema, wholeSchema } from "../../scene/adjustment.ts";
import { plannedTimeSchema } from "../../time/timeOfDay.ts";
import { effectMsSchema } from "../../venue/plan.ts";
import { anchorSchema } from "../anchor.ts";

/** The screen plan a cue is made for: a take under another plan switches to it, or is refused. Never half-cut words. */
export const planNeedSchema = z.strictObject({
  id: nameSchema(60),
  otherwise: z.enum(["switch", "refuse"]),
});
export type PlanNeed = z.infer<typeof planNeedSchema>;

/** From a step on, the plan that is switched to. */
export const stepPlanSchema = z.strictObject({ step: anchorSchema, planId: nameSchema(60) });

/** How a cue starts: by hand, with the cue before it, some time after that one is through, or at a time of day. */
export const cueStartSchema = z.discriminatedUnion("kind", [
  z.strictObject({ kind: z.literal("hand") }),
  z.strictObject({ kind: z.literal("with") }),
  z.strictObject({ kind: z.literal("after"), ms: z.number().int().min(0).max(3_600_000) }),
  z.strictObject({ kind: z.literal("at"), time: z.string().regex(/^([01]\d|2[0-3]):[0-5]\d:[0-5]\d$/) }),
]);
export type CueStart = z.infer<typeof cueStartSchema>;

/** A source that a cue is tied to, how long after it comes, and whether it stays for as long as the source or as long as it says itself. */
export const comesWithSchema = z.strictObject({
  sourceId: nameSchema(60),
  delayMs: z.number().int().min(0).max(600_000).default(0),
  stays: z.boolean().default(false),
});

/** Marks a person may put on a cue, to find it again. */
export const CUE_TAGS = ["knot", "bell", "sail", "wave"] as const;
export type CueTag = (typeof CUE_TAGS)[number];

/** A finding of the check that is let be, and why. */
export const waivedSchema = z.strictObject({
  code: z.string().min(1).max(40),
  /** Where in the cue: as the finding has it. */
  place: z.string().max(200).default(""),
  reason: z.string().trim().min(1).max(300),
});
const MOST_WAIVED = 60;

/** What any cue may say besides its words. */
export const onAnyCue = {
  start: cueStartSchema.default({ kind: "hand" }),
  /** It enters this long after the press. */
  delayMs: z.number().int().min(0).max(600_000).default(0),
  /** It comes again by itself this often, until it is taken out. */
  repeatMs: z.number().int().min(1_000).max(3_600_000).nullable().default(null),
  /** How long it is planned to take. */
  plannedMs: z.number().int().min(0).max(86_400_000).nullable().default(null),
  /** When it is planned to begin, HH:MM in the show's time zone; empty: when those before it are through. */
  plannedAt: plannedTimeSchema.default(""),
  /** Left out of the run. */
  isOff: z.boolean().default(false),
  tag: z.enum(CUE_TAGS).nullable().default(null),
  /** For the operator, in the margin of the script. */
  note: z.string().max(2_000).default(""),
  /** The template it wears where an outfit offers several, by its key; null: the outfit's own. */
  template: z.string().max(80).nullable().default(null),
  /** How dense all of it is. */
  opacity: z.number().min(0.05).max(1).default(1),
  /** How long it takes to arrive; null: as its layer, else its template, has it. */
  effectMs: effectMsSchema.nullable().default(null),
  /** Where all of it stands, and how large. */
  whole: wholeSchema.nullable().default(null),
  /** Shown to those on the stage while it is the cue on air. */
  stageNote: z.string().max(200).default(""),
  /** Emptied when the evening is taken for another day. */
  isOfTheDay: z.boolean().default(false),
  /** Texts moved, sized or left out, here alone. */
  adjust: adjustmentsSchema.default({}),
  /** Every change that is saved goes on air at once if the cue is there; otherwise it is held until sent. */
  isLive: z.boolean().default(false),
  /** What any cue says about the screens. */
  plan: planNeedSchema.nullable().default(null),
  stepPlans: z.array(stepPlanSchema).max(60).default([]),
  /** It comes when a source comes to program, and leaves with it. */
  comesWith: comesWithSchema.nullable().default(null),
  /** The only outputs it goes to; null: all. The others keep what they show. */
  only: z.array(nameSchema(60)).min(1).max(64).nullable().default(null),
  /** What the check finds in it and is let be. */
  waived: z.array(waivedSchema).max(MOST_WAIVED).default([]),
};
