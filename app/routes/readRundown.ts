import { z } from "zod";
import { readRundownText } from "../../core/rundown/rundownText.ts";
import { songTitleOf, takeEntry } from "../../core/rundown/takeEntry.ts";
import { textsInUse } from "../../core/rundown/textsInUse.ts";
import { foldWords } from "../../core/words/foldWords.ts";
import { answer, refuse } from "../answers.server.ts";
import { only } from "../rights.server.ts";
import { getServices } from "../services.server.ts";
import type { Route } from "./+types/readRundown.ts";
import { readJsonBody } from "./readJsonBody.server.ts";

export const middleware = [only("desk", "see")];

const requestSchema = z.strictObject({ text: z.string().max(500_000) });
/** Of the songs that are found for a title, so many are compared with it. */
const MOST_LOOKED_AT = 5;

/** What the lines of a rundown that somebody wrote would become. Changes nothing. */
export async function action({ request, context }: Route.ActionArgs) {
  const body = await readJsonBody(request, requestSchema);
  if ("problem" in body) return refuse(body.problem, "notUnderstood");
  const { rundown, scriptures, songs } = getServices(context);
  const texts = textsInUse(rundown.views(), scriptures.list());
  const findSong = async (text: string) => {
    const title = foldWords(songTitleOf(text));
    if (title === "") return undefined;
    const found = await songs.list(title, MOST_LOOKED_AT);
    const same = found.find((song) => foldWords(song.title) === title);
    return same && songs.find(same.id);
  };
  const lines = [];
  for (const entry of readRundownText(body.value.text)) {
    const song = entry.kind === "item" ? await findSong(entry.text) : undefined;
    lines.push(takeEntry(entry, { scripture: scriptures, texts, song }));
  }
  return answer("/read-rundown", { lines });
}
