import { call } from "../api/call.ts";
import type { ScreensEdit } from "../api/calls.ts";
import type { DeskStore } from "../desk/deskStore.ts";

/** Sends one change of screens or plans; what cannot be done is told. @returns whether it was done */
export async function saveScreens(store: DeskStore, edit: ScreensEdit): Promise<boolean> {
  const answer = await call("/screens-edit", edit);
  if ("problem" in answer) store.say("trouble", answer.problem.sentence);
  return "value" in answer;
}
