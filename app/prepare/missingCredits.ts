import { findMissingCredits, joinCredits, type MissingCredit, NO_CREDITS } from "../../core/words/credits.ts";
import { parseSong } from "../../core/words/song.ts";
import type { DeskCue } from "../desk/deskStore.ts";

/** The songs of a rundown whose credits do not say all they should, and what is missing. */
export function missingOf(
  cues: readonly DeskCue[],
  licence: string,
): { readonly cue: DeskCue; readonly what: readonly MissingCredit[] }[] {
  return cues.flatMap((cue) => {
    const { doc } = cue.view;
    if (doc.kind !== "song") return [];
    const parsed = parseSong(doc.text, doc.title);
    const read = "song" in parsed ? parsed.song.credits : NO_CREDITS;
    const what = findMissingCredits(joinCredits(doc.credits, read), licence);
    return what.length > 0 ? [{ cue, what }] : [];
  });
}
