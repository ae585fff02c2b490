import type { Finding } from "../../core/findings/finding.ts";
import { oncePer } from "../../core/memo/oncePer.ts";
import type { CueDoc, SongDoc } from "../../core/rundown/cueDoc.ts";
import { type Credits, findMissingCredits, joinCredits, NO_CREDITS } from "../../core/words/credits.ts";
import { parseSong } from "../../core/words/song.ts";
import type { DeskCue } from "./deskCues.ts";

/** Read once for each text: a rundown has hundreds of songs, and is looked through with every edit. */
const creditsOf = oncePer((doc: SongDoc): Credits => {
  const parsed = parseSong(doc.text, doc.title, { told: doc.told });
  return joinCredits(doc.credits, "song" in parsed ? parsed.song.credits : NO_CREDITS);
});

/** What a cue's credits do not say that they should; nothing for what is no song. */
export const missingIn = (doc: CueDoc, licence: string): readonly Finding[] =>
  doc.kind === "song" ? findMissingCredits(creditsOf(doc), licence) : [];

/** The songs of a rundown whose credits do not say all they should, and what is missing. */
export function missingOf(
  cues: readonly DeskCue[],
  licence: string,
): { readonly cue: DeskCue; readonly what: readonly Finding[] }[] {
  return cues.flatMap((cue) => {
    const what = missingIn(cue.view.doc, licence);
    return what.length > 0 ? [{ cue, what }] : [];
  });
}
