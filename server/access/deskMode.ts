import { refusalSentence } from "../../core/show/commands.ts";
import type { DeskMode } from "../../core/show/deskMode.ts";

export const DESK_HEADER = "x-vesko-desk";

/**
 * Why a request that changes something is not done: its desk only watches, or is locked.
 * @param windowId as the request says it; null: it comes from no desk's page
 * @returns the sentence; undefined when it may go on
 */
export function closedByMode(
  windowId: string | null | undefined,
  modeOf: (windowId: string) => DeskMode | undefined,
): string | undefined {
  const mode = windowId ? modeOf(windowId) : undefined;
  if (mode === "watching") return refusalSentence("onlyWatching");
  return mode === "locked" ? refusalSentence("locked") : undefined;
}
