import type { TriggerAct } from "../triggers/acts.ts";

/** The cue that an act of a trigger is about; undefined: none. */
export const cueOfAct = (act: TriggerAct): string | undefined => ("cueId" in act ? act.cueId : undefined);
