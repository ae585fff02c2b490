import { MOVES_OF_ALL, type MovingProperty, PAINTED_MOVES } from "../motion/track.ts";
import { kindOf, type ReadableObject } from "./objectKinds.ts";

/** Groups hand blur, tint and colour on to their members; their own box sizes what cuts them. */
const GROUP_MOVES: readonly MovingProperty[] = [...PAINTED_MOVES, "width", "height", "corners"];

/** What of an object can move; a track of anything else does nothing. */
export const movesOf = (object: ReadableObject): readonly MovingProperty[] => [
  ...MOVES_OF_ALL,
  ...(object.kind === "group" ? GROUP_MOVES : kindOf(object).moves),
];
