import type { Output, ScreenPlan, Venue } from "../../core/screens/plan.ts";
import type { DeskStore } from "../desk/deskStore.ts";
import { postJson } from "../ui/postJson.ts";

export type ScreensEdit =
  | { readonly kind: "saveOutput"; readonly output: Output }
  | { readonly kind: "removeOutput"; readonly outputId: string }
  | { readonly kind: "savePlan"; readonly plan: ScreenPlan }
  | { readonly kind: "removePlan"; readonly planId: string }
  | { readonly kind: "saveVenue"; readonly venue: Venue };

/** Sends one change of screens or plans; what cannot be done is told. @returns whether it was done */
export async function saveScreens(store: DeskStore, edit: ScreensEdit): Promise<boolean> {
  const answer = await postJson<{ sentence?: string }>("/screens-edit", edit);
  const sentence = answer
    ? answer.sentence
    : "The server cannot be reached, so nothing was changed. The outputs keep their picture; try again.";
  if (sentence !== undefined) store.say("trouble", sentence);
  return sentence === undefined;
}
