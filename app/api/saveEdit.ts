import type { Edit, EditOutcome } from "../../core/rundown/edits.ts";
import { asOutcome, call } from "./call.ts";

/** Sends one edit to the server. A failure on the way is told like a refusal: nothing is lost, it can be sent again. */
export const saveEdit = async (actor: string, edit: Edit): Promise<EditOutcome> =>
  asOutcome(await call("/edit", { actor, edit }));
