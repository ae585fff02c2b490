import { actToUndo } from "./acts.ts";
import { isFilled, pagesOn } from "./layers.ts";
import { type Arm, isSameStep, type Target } from "./line.ts";
import type { ShowState } from "./state.ts";

/** A press within this time after its meaning has changed by itself was meant for what was there before. */
export const JUST_CHANGED_MS = 700;

/** What a person sees of the air at a time: what keys mean follows from it. */
export interface Seen {
  readonly state: ShowState;
  readonly next: Target | undefined;
}

/** Something seen from a time on. */
export interface Sight extends Seen {
  readonly atMs: number;
  /** The hand that presses brought it about itself. */
  readonly isOwn: boolean;
}

/** What "out" takes off: the line's page while it is there, else the topmost that does not persist. */
export function outTarget(
  state: ShowState,
  atMs: number,
): { readonly layerId: string; readonly cueId: string } | undefined {
  const filled = state.layers.filter(({ id }) => isFilled(state, id, atMs));
  const cueOn = (layerId: string) => [...pagesOn(state, layerId, atMs).values()].find((page) => page)?.cueId;
  const ofLine = filled.find(({ id }) =>
    [...pagesOn(state, id, atMs).values()].some((page) => page && page.cueId === state.line.at?.cueId),
  );
  const layerId = (ofLine ?? filled.findLast(({ persistent }) => !persistent))?.id;
  const cueId = ofLine ? state.line.at?.cueId : layerId && cueOn(layerId);
  return layerId && cueId ? { layerId, cueId } : undefined;
}

/** What a key would do, as words to compare; the same words mean the same. */
export type Meaning = (seen: Seen, atMs: number) => string;

export const meaningOfTake: Meaning = ({ next }) =>
  next ? `${next.cueId}/${next.step.occurrence}/${next.step.unit}` : "";

export const meaningOfOut: Meaning = ({ state }, atMs) => {
  const target = outTarget(state, atMs);
  return target ? `${target.layerId}/${target.cueId}` : "";
};

export const meaningOfLayer =
  (layerId: string): Meaning =>
  ({ state }, atMs) =>
    [...pagesOn(state, layerId, atMs)]
      .map(([outputId, page]) => `${outputId ?? ""}:${page?.cueId ?? ""}`)
      .join();

export const meaningOfUndo =
  (actorId: string): Meaning =>
  ({ state }) =>
    actToUndo(state.acts, actorId)?.actId ?? "";

/**
 * Whether the meaning of a key has changed by itself within the last moments: through another hand, the clock, or a stay that ended.
 * @param sights what was seen, the oldest first; the first may lie further back
 */
export function hasJustChanged(sights: readonly Sight[], meaning: Meaning, nowMs: number): boolean {
  const sinceMs = nowMs - JUST_CHANGED_MS;
  const first = sights.findLastIndex(({ atMs }) => atMs <= sinceMs);
  let seen = sights[Math.max(0, first)];
  if (!seen) return false;
  let before = meaning(seen, Math.max(sinceMs, seen.atMs));
  let byItself = false;
  for (const sight of sights.slice(Math.max(0, first) + 1)) {
    const passed = meaning(seen, sight.atMs);
    const now = meaning(sight, sight.atMs);
    if (passed !== before) byItself = true;
    if (now !== passed) byItself = !sight.isOwn;
    before = now;
    seen = sight;
  }
  return meaning(seen, nowMs) !== before || byItself;
}

/** Keeps what was seen no longer than it can matter. */
export function addSight(sights: readonly Sight[], sight: Sight): readonly Sight[] {
  const from = sights.findLastIndex(({ atMs }) => atMs <= sight.atMs - JUST_CHANGED_MS);
  return [...sights.slice(Math.max(0, from)), sight];
}

/** An arm that was lost without a take of it, and not by the hand that set it. */
export function lostArm(
  before: ShowState,
  after: ShowState,
  taken: Pick<Target, "cueId" | "step"> | null,
): Arm | undefined {
  const { arm } = before;
  if (!arm || arm === after.arm) return undefined;
  const isKept = [after.arm, after.arm?.over].some((other) => other && isSameStep(other.target, arm.target));
  return isKept || (taken && isSameStep(taken, arm.target)) ? undefined : arm;
}
