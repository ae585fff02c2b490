import { CAPABILITIES, type Grant } from "./capabilities.ts";

/** What a desk lets its person do: everything, only take, arm and out, or only look. */
export const DESK_MODES = ["free", "locked", "watching"] as const;
export type DeskMode = (typeof DESK_MODES)[number];

const GRANTS: Readonly<Record<DeskMode, Grant>> = {
  free: { can: CAPABILITIES, tableId: null, otherwise: "notAllowed" },
  locked: { can: ["see", "arm", "take"], tableId: null, otherwise: "locked" },
  watching: { can: ["see"], tableId: null, otherwise: "onlyWatching" },
};

export const grantOfMode = (mode: DeskMode): Grant => GRANTS[mode];
