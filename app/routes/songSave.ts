import { z } from "zod";
import { t } from "../../core/language/t.ts";
import { songSchema } from "../../core/words/songFields.ts";
import { answer, refuse } from "../answers.server.ts";
import { only } from "../rights.server.ts";
import { getServices } from "../services.server.ts";
import type { Route } from "./+types/songSave.ts";
import { readJsonBody } from "./readJsonBody.server.ts";

export const middleware = [only("desk")];

const requestSchema = z.strictObject({
  id: z.string().min(8).max(60),
  actor: z.string().min(8).max(60),
  song: songSchema,
  /** 0 adds a song. */
  baseRevision: z.number().int().min(0),
});

/** Adds a song to the library, or saves one over the revision it was built on. */
export async function action({ request, context }: Route.ActionArgs) {
  const body = await readJsonBody(request, requestSchema);
  if ("problem" in body) return refuse(body.problem, "notUnderstood");
  const { songs, now } = getServices(context);
  const { id, actor, song, baseRevision } = body.value;
  const atMs = Math.round(now());
  if (baseRevision === 0 && !(await songs.find(id))) {
    const added = await songs.addAll([{ id, song }], actor, atMs);
    if (added !== undefined) return answer("/song/save", { kind: "refused", sentence: added });
    return answer("/song/save", { kind: "saved", id, revision: 1 });
  }
  const saved = await songs.save(id, song, baseRevision, actor, atMs);
  switch (saved.kind) {
    case "saved":
      return answer("/song/save", { kind: "saved", id, revision: saved.revision });
    case "conflict":
      return answer("/song/save", {
        kind: "conflict",
        by: saved.by,
        sentence:
          saved.by === "own"
            ? t`This song was saved from here already, and the answer was lost, or another tab of yours saved it. Your words are still here.`
            : t`This song was changed somewhere else while you typed. Your words are still here.`,
        current: { revision: saved.current.revision, doc: saved.current.song },
      });
    case "gone":
      return answer("/song/save", {
        kind: "refused",
        sentence: t`That song was taken out of the library somewhere else. Your words are still here; keep them as a new song.`,
      });
  }
}
