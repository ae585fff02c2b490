import type { Anchor } from "../../core/rundown/anchor.ts";

/** In place of a key: the words of a step on air are not there any more. */
export const GONE = "gone";

export const stepKey = ({ occurrence, unit }: Anchor): string => `${occurrence}:${unit}`;
