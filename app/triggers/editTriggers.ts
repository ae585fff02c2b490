import type { FollowEdit } from "../../core/triggers/followEdit.ts";
import { call } from "../api/call.ts";
import type { DeskStore } from "../desk/deskStore.ts";

/** Does something to sources or triggers, and says when it could not be done. @returns whether it was done */
export async function editTriggers(store: DeskStore, edit: FollowEdit): Promise<boolean> {
  const outcome = await call("/triggers-edit", edit);
  if ("problem" in outcome) store.say("trouble", outcome.problem.sentence);
  return !("problem" in outcome);
}
