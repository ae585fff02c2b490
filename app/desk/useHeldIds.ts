import { useMemo } from "react";
import { heldCues } from "../../core/show/held.ts";
import { useDesk } from "./deskContext.ts";
import { usePresentTime } from "./usePresentTime.ts";

/** Cues on air whose edits are held. */
export function useHeldIds(): ReadonlySet<string> {
  const { state, ready } = useDesk("state", "ready");
  const presentMs = usePresentTime();
  return useMemo(() => heldCues(state, ready, presentMs ?? 0), [state, ready, presentMs]);
}
