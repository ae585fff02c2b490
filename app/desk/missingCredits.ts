import { creditsOf } from "../../core/check/creditsOf.ts";
import type { Finding } from "../../core/findings/finding.ts";
import type { CueDoc } from "../../core/rundown/cueDoc.ts";
import { findMissingCredits } from "../../core/words/credits.ts";
import type { DeskCue } from "./deskCues.ts";

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
