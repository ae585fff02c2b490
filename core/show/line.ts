import { z } from "zod";
import { nameSchema } from "../names/name.ts";
import { anchorSchema, sameAnchor } from "../rundown/anchor.ts";
import { hashSchema, type PageContent } from "../rundown/content.ts";
import type { ReadyCue } from "../rundown/readyCue.ts";
import { stepAtOrBefore, stepsOf } from "../rundown/steps.ts";
import { findPlace, textPlaceSchema } from "../rundown/textPlace.ts";
import { type Actor, actorSchema, isHand } from "./actor.ts";

/** A step of a cue, in the very content that was seen when it was chosen. */
export const targetSchema = z.strictObject({
  cueId: nameSchema(60),
  content: hashSchema,
  step: anchorSchema,
});
export type Target = z.infer<typeof targetSchema>;

/** A place in the script. */
export const positionSchema = z.strictObject({
  cueId: z.string(),
  /** Where the cue stood in the rundown then: if it is deleted, what stands there now comes next. */
  cueIndex: z.number().int().min(0),
  step: anchorSchema,
  /** The words that stood there, so that edits do not move it; null where it has none. */
  words: textPlaceSchema.nullable().default(null),
});
export type Position = z.infer<typeof positionSchema>;

/** Asides that are remembered while the line stays in its cue. */
const MOST_ASIDES = 60;

/** The operator's place in the script. Only a press moves it; what comes otherwise is an aside. */
export const lineSchema = z.strictObject({
  /** Null before the first press. */
  at: positionSchema.nullable(),
  /** What has come besides since the line came to its cue, each where it stands: it is not next again. */
  asides: z.array(positionSchema).max(MOST_ASIDES),
});
export type Line = z.infer<typeof lineSchema>;

export const NO_LINE: Line = { at: null, asides: [] };

export const armSchema = z.strictObject({
  target: targetSchema,
  by: actorSchema,
  /** Once taken, the script goes on from there, whatever layer it goes to. */
  isJump: z.boolean().default(false),
  /** The arm that this one lies over: it holds again once this one was taken as an aside. */
  over: z.strictObject({ target: targetSchema, by: actorSchema }).nullable().default(null),
});
export type Arm = z.infer<typeof armSchema>;

/** Whether all steps of the line's cue are behind; a line that has not begun, or whose cue is gone, has nothing before it. */
export function isLineThrough({ at }: Line, cues: readonly ReadyCue[]): boolean {
  const cue = at && cues.find(({ cueId }) => cueId === at.cueId);
  if (!at || !cue) return true;
  const last = stepsOf(cue.content).at(-1);
  return last === undefined || sameAnchor(last.anchor, at.step);
}

/**
 * Whether a take leaves the line where it is: it comes by itself, or it is taken out of order onto another layer while the line's
 * cue is not through.
 */
export function isAside(line: Line, target: Target, by: Actor, cues: readonly ReadyCue[]): boolean {
  if (!isHand(by)) return true;
  const { at } = line;
  if (!at || at.cueId === target.cueId || isLineThrough(line, cues)) return false;
  const find = (cueId: string) => cues.find((cue) => cue.cueId === cueId)?.content;
  const [here, there] = [find(at.cueId), find(target.cueId)];
  if (!here || !there) return false;
  // An action has no layer: it is in the line's way when it takes the line's page off.
  if (there.action) return !there.action.clear.includes(here.layerId);
  return here.action !== null || there.layerId !== here.layerId;
}

/** The line after a press has moved it. What came besides is forgotten once it leaves its cue. */
export function moveLine(line: Line, to: Position): Line {
  const isSameCue = line.at?.cueId === to.cueId;
  return { at: to, asides: isSameCue ? line.asides.filter(({ cueId }) => cueId !== to.cueId) : [] };
}

/** The line after the words that it stands in were sent anew: at the same words. */
export function placeLine(line: Line, { cueId, step, words }: Omit<Position, "cueIndex">): Line {
  const place = (at: Position): Position => (at.cueId === cueId ? { ...at, step, words } : at);
  return { at: line.at && place(line.at), asides: line.asides.map(place) };
}

/** The line after something has come besides: it stays. */
export function addAside(line: Line, aside: Position): Line {
  const others = line.asides.filter(({ cueId }) => cueId !== aside.cueId);
  return { at: line.at, asides: [...others, aside].slice(-MOST_ASIDES) };
}

/** Whether two targets are the same step of the same cue, whatever was edited. */
export const isSameStep = (a: Pick<Target, "cueId" | "step">, b: Pick<Target, "cueId" | "step">): boolean =>
  a.cueId === b.cueId && sameAnchor(a.step, b.step);

/** The arm that a new one lies over: the line's own, when the new one is for an aside. */
export function armBeneath(
  arm: Arm | null,
  target: Target,
  line: Line,
  by: Actor,
  cues: readonly ReadyCue[],
): Arm["over"] {
  if (!arm || !isAside(line, target, by, cues)) return null;
  if (isSameStep(arm.target, target) || isAside(line, arm.target, by, cues)) return arm.over;
  return { target: arm.target, by: arm.by };
}

/** The arm after a take: one that was taken is used up; what it lay over holds again. */
export function armAfterTake(arm: Arm | null, taken: Target, isLineMoved: boolean): Arm | null {
  if (!arm || isLineMoved) return null;
  if (!isSameStep(arm.target, taken)) return arm;
  return arm.over && { ...arm.over, isJump: false, over: null };
}

/** The step that a place is in now: by its words, else by where it was. */
export const stepAt = (content: PageContent, { step, words }: Position): Target["step"] =>
  (words && findPlace(content, words, step)?.at) ?? stepAtOrBefore(content, step);
