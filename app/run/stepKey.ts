import type { Anchor } from "../../core/rundown/steps.ts";

export const stepKey = ({ occurrence, unit }: Anchor): string => `${occurrence}:${unit}`;
