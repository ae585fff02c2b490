import { type Capability, type Grant, refusalOf } from "../../core/show/capabilities.ts";
import { refusalSentence } from "../../core/show/commands.ts";

export const DESK_HEADER = "x-vesko-desk";

/**
 * Why a request is not done: its desk was not granted that.
 * @param windowId as the request says it; null: it comes from no desk's page
 * @returns the sentence; undefined when it may go on
 */
export function closedByMode(
  windowId: string | null | undefined,
  needed: Capability,
  grantOf: (windowId: string) => Grant | undefined,
): string | undefined {
  const grant = windowId ? grantOf(windowId) : undefined;
  const refused = grant && refusalOf(grant, needed);
  return refused && refusalSentence(refused);
}
