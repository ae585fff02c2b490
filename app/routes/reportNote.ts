import { z } from "zod";
import { answer, refuse } from "../answers.server.ts";
import { only } from "../rights.server.ts";
import { DESK_HEADER, getServices } from "../services.server.ts";
import type { Route } from "./+types/reportNote.ts";
import { readJsonBody } from "./readJsonBody.server.ts";

export const middleware = [only("desk")];

const requestSchema = z.strictObject({
  seq: z.number().int().min(1),
  words: z.string().trim().min(1).max(500),
});

/** Writes a note beside something that was logged. What was logged stays as it is. */
export async function action({ request, context }: Route.ActionArgs) {
  const body = await readJsonBody(request, requestSchema);
  if ("problem" in body) return refuse(body.problem, "notUnderstood");
  const { reportNotes, live, now } = getServices(context);
  const by = live.deskNameOf(request.headers.get(DESK_HEADER));
  await reportNotes.addNote({ ...body.value, atMs: now(), by });
  return answer("/report-note", {});
}
