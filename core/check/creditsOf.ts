import { oncePer } from "../memo/oncePer.ts";
import type { SongDoc } from "../rundown/cueDoc.ts";
import { type Credits, joinCredits, NO_CREDITS } from "../words/credits.ts";
import { parseSong } from "../words/song.ts";

/** Who made a song: what was typed, and what its text says. */
export const creditsOf = oncePer((doc: SongDoc): Credits => {
  const parsed = parseSong(doc.text, doc.title, { told: doc.told });
  return joinCredits(doc.credits, "song" in parsed ? parsed.song.credits : NO_CREDITS);
});
