import type { Output } from "../../core/venue/plan.ts";
import standIn from "../pictures/standInPicture.svg";

/** What lies beneath an output's picture, as CSS: a keyer's halves are always over black. */
export function groundOf({ backdrop, signal }: Output, overPicture: boolean): string {
  if (backdrop === "opaque" || signal !== "picture") return "#000";
  return overPicture ? `#2b2725 url(${standIn}) center / cover` : "transparent";
}
