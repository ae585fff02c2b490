import type { Edit, EditOutcome } from "../../core/rundown/edits.ts";
import { postJson } from "../ui/postJson.ts";

/** Sends one edit to the server. A failure on the way is told like a refusal: nothing is lost, it can be sent again. */
export async function saveEdit(actor: string, edit: Edit): Promise<EditOutcome> {
  const outcome = await postJson<EditOutcome | { readonly sentence: string }>("/edit", { actor, edit });
  // A desk that only watches, or is locked, is told so.
  if (outcome && !("kind" in outcome)) return { kind: "refused", sentence: outcome.sentence };
  return (
    outcome ?? {
      kind: "refused",
      sentence:
        "The server cannot be reached, so this is not saved yet. What you typed is still here; it is sent again when you go on.",
    }
  );
}
