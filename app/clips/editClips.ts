import type { ClipEdit } from "../../core/clips/clipEdit.ts";
import { call } from "../api/call.ts";
import type { DeskStore } from "../desk/deskStore.ts";

/** Does something to the list of clips or to mappings, and says when it could not be done. @returns whether it was done */
export async function editClips(store: DeskStore, edit: ClipEdit): Promise<boolean> {
  const outcome = await call("/clips-edit", edit);
  if ("problem" in outcome) store.say("trouble", outcome.problem.sentence);
  return !("problem" in outcome);
}
