import { z } from "zod";
import { t } from "../language/t.ts";
import { nameSchema } from "../names/name.ts";
import { bringsPage, sayAct, triggerActSchema } from "./acts.ts";
import { conditionSchema, sayCondition } from "./conditions.ts";
import type { TriggerNames } from "./triggerNames.ts";
import { endOfWhen, sayWhen, whenSchema } from "./whens.ts";

/** Triggers of a venue. */
export const MOST_TRIGGERS = 200;
/** Of one cue that is tied to a source. */
export const LONGEST_TRIGGER_ID = 80;

/** For how long a page stays that a trigger brings. */
export const triggerStaySchema = z.discriminatedUnion("kind", [
  z.strictObject({ kind: z.literal("asCue") }),
  z.strictObject({ kind: z.literal("for"), ms: z.number().int().min(500).max(86_400_000) }),
  z.strictObject({ kind: z.literal("open") }),
]);

/** When something happens, and only while something holds, something is done. */
export const triggerSchema = z.strictObject({
  id: nameSchema(LONGEST_TRIGGER_ID),
  /** As people call it; empty: by its sentence. */
  name: z.string().trim().max(60).default(""),
  isOn: z.boolean().default(true),
  when: whenSchema,
  onlyWhile: z.array(conditionSchema).max(6).default([]),
  delayMs: z.number().int().min(0).max(3_600_000).default(0),
  act: triggerActSchema,
  stay: triggerStaySchema.default({ kind: "asCue" }),
  /** What it has brought leaves with what set it off. */
  leavesWith: z.boolean().default(false),
  /** It may take the place of what a hand had put there before; never of what a hand puts there since. */
  mayReplaceHand: z.boolean().default(false),
});
export type Trigger = z.infer<typeof triggerSchema>;

/** A length as people say it: "10 s", "2 min", "1.5 s". */
export function sayLength(ms: number): string {
  if (ms >= 60_000 && ms % 60_000 === 0) return t`${ms / 60_000} min`;
  return `${Math.round(ms / 100) / 10} s`;
}

/** All of it as one sentence, without a name: "When …, only while …, after 2 s: take “…”, stay 10 s, and leave when it leaves." */
export function sayTrigger(trigger: Trigger, names: TriggerNames): string {
  const { when, onlyWhile, delayMs, act, stay, leavesWith } = trigger;
  const conditions = onlyWhile.map((condition) => sayCondition(condition, names));
  const head = [
    t`When ${sayWhen(when, names)}`,
    ...(conditions.length > 0 ? [t`only while ${conditions.join(t` and `)}`] : []),
    ...(delayMs > 0 ? [t`after ${sayLength(delayMs)}`] : []),
  ].join(", ");
  const end = endOfWhen(when);
  const tail = bringsPage(act)
    ? [
        ...(stay.kind === "for" ? [t`stay ${sayLength(stay.ms)}`] : []),
        ...(stay.kind === "open" && !(leavesWith && end) ? [t`stay`] : []),
        ...(leavesWith && end ? [t`leave when ${end}`] : []),
      ]
    : [];
  return `${head}: ${[sayAct(act, names), ...tail].join(", ")}.`;
}

/** What a trigger is called: its name, or what sets it off. */
export const nameOfTrigger = ({ name, when }: Pick<Trigger, "name" | "when">, names: TriggerNames): string =>
  name === "" ? sayWhen(when, names) : name;
