import type { Anchor } from "../../core/rundown/anchor.ts";

export const stepKey = ({ occurrence, unit }: Anchor): string => `${occurrence}:${unit}`;
