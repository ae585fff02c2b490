import type { Command, Refusal } from "./commands.ts";

/** What somebody at a window, or something that acts by itself, may do; with none of them: nothing. */
export const CAPABILITIES = ["see", "arm", "take", "run", "edit", "score"] as const;
export type Capability = (typeof CAPABILITIES)[number];

/** What was granted to one who asks. */
export interface Grant {
  readonly can: readonly Capability[];
  /** The only table that may be scored; null: any. */
  readonly tableId: string | null;
  /** How a refusal says why. */
  readonly otherwise: Refusal;
}

export const NOTHING_GRANTED: Grant = { can: [], tableId: null, otherwise: "notAllowed" };
export const ONLY_SEES: Grant = { can: ["see"], tableId: null, otherwise: "onlyShows" };

/** What each command takes: the cue and its layer ("take"), the arm, or everything else that is on air ("run"). */
const NEEDED: Readonly<Record<Command["kind"], Capability>> = {
  arm: "arm",
  disarm: "arm",
  take: "take",
  goOn: "take",
  out: "take",
  clear: "run",
  clearEverything: "run",
  undo: "run",
  send: "run",
  shut: "run",
  stageNote: "run",
  setLayer: "run",
  setStandBy: "run",
  beginAnew: "run",
  hold: "run",
  setSources: "run",
  stopTriggers: "take",
  keepLayer: "run",
  otherAtSource: "take",
  clip: "take",
  pad: "take",
  pauseCountdown: "run",
  switchPlan: "run",
  test: "run",
};

export const neededFor = (kind: Command["kind"]): Capability => NEEDED[kind];

/**
 * Why one who was granted this may not do that; undefined: it may.
 * @param tableId the table that is to be scored
 */
export function refusalOf(
  grant: Grant,
  needed: Capability,
  tableId: string | null = null,
): Refusal | undefined {
  const isOtherTable = needed === "score" && grant.tableId !== null && grant.tableId !== tableId;
  return grant.can.includes(needed) && !isOtherTable ? undefined : grant.otherwise;
}
