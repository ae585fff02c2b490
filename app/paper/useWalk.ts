import { useMemo } from "react";
import { planAtBeginning } from "../../core/show/planAtBeginning.ts";
import { limitsOf } from "../../core/venue/checkLimits.ts";
import { useDesk } from "../desk/deskContext.ts";
import type { PaperCue } from "./paperCue.ts";
import { type WalkedStep, walkScreens } from "./walkScreens.ts";

/** The evening gone through from its first take, with all screens at every step. */
export function useWalk(cues: readonly PaperCue[]): readonly WalkedStep[] {
  const { state, outputs, plans, venue } = useDesk("state", "outputs", "plans", "venue");
  const { layers } = state;
  const planId = planAtBeginning(state, plans).id;
  const { wordsPerMinute } = limitsOf(venue.limits);
  return useMemo(
    () => walkScreens({ cues, plans, planId, layers, outputs, wordsPerMinute }),
    [cues, plans, planId, layers, outputs, wordsPerMinute],
  );
}
