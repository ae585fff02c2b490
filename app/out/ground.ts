import type { Output } from "../../core/venue/plan.ts";

/** What lies beneath an output's picture, as CSS: a keyer's halves are always over black. */
export function groundOf({ backdrop, signal }: Output, overPicture: boolean): string {
  if (backdrop === "opaque" || signal !== "picture") return "#000";
  return overPicture ? "#000" : "transparent";
}
