import type { DeskCue } from "../desk/deskCues.ts";

/** A cue as paper has it. */
export interface PaperCue extends DeskCue {
  /** When it is planned to begin, as the venue writes times; empty: not said. */
  readonly plannedAt: string;
}
