import type { ReadyCue } from "../rundown/readyCue.ts";
import { stepsOf } from "../rundown/steps.ts";
import type { DecideContext } from "./decideContext.ts";
import type { AirEvent } from "./events.ts";
import { pageAt, type SlotPage } from "./slot.ts";
import type { ShowState } from "./state.ts";

/** In place of a cue: the note was typed. */
export const STAGE_NOTE = "stage-note";

/**
 * The note that the cues of one press bring to the stage. A note of a cue before goes with it; one that was typed stays until
 * it is taken away, or a cue brings another.
 */
export function stageNoteOf(
  state: ShowState,
  taken: readonly { readonly cue: ReadyCue }[],
  takeId: string,
  context: DecideContext,
): AirEvent | undefined {
  const { startAtMs } = context;
  const now = pageAt(state.stageNote, startAtMs);
  const cue = taken.map((each) => each.cue).find(({ content }) => content.stageNote !== "");
  const page = cue ? findStageNote(cue.cueId, cue.content.stageNote, context) : undefined;
  if (page)
    return page.content === now?.content ? undefined : { kind: "stageNoted", takeId, page, startAtMs };
  return now && now.cueId !== STAGE_NOTE ? { kind: "stageNoted", takeId, page: null, startAtMs } : undefined;
}

/** A line for the stage as a page; undefined when no output has a place for it. */
export function findStageNote(cueId: string, text: string, context: DecideContext): SlotPage | undefined {
  const note = context.compileStageNote(text);
  const [step] = note ? stepsOf(note.content) : [];
  return note && step && { cueId, content: note.hash, step: step.anchor };
}
