import type { Command, Refusal } from "./commands.ts";

/** What a desk lets its person do: everything, only take, arm and out, or only look. */
export const DESK_MODES = ["free", "locked", "watching"] as const;
export type DeskMode = (typeof DESK_MODES)[number];

/** Commands of a locked desk. */
const WORK_LOCKED: ReadonlySet<Command["kind"]> = new Set(["take", "arm", "disarm", "out", "goOn"]);

/** Why a desk in this mode may not do that; undefined: it may. */
export function refusalOfMode(mode: DeskMode, kind: Command["kind"]): Refusal | undefined {
  if (mode === "watching") return "onlyWatching";
  return mode === "locked" && !WORK_LOCKED.has(kind) ? "locked" : undefined;
}
