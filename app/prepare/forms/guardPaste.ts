import type { ClipboardEvent } from "react";
import { languageCode, t } from "../../../core/language/t.ts";
import { explainSongProblem } from "../../../core/rundown/kinds/song/compile.ts";
import { parseSong } from "../../../core/words/song.ts";

/** A text box slows to a halt with more than this in it; no song is near it. */
const MOST_LINES = 2_000;
const MOST_CHARACTERS = 150_000;

/**
 * Keeps a paste that is far too large out of a text box, and says why.
 * @returns whether it was kept out
 */
export function guardPaste(event: ClipboardEvent, say: (sentence: string) => void): boolean {
  const text = event.clipboardData.getData("text/plain");
  const tooLong = text.length > MOST_CHARACTERS || text.split("\n", MOST_LINES + 1).length > MOST_LINES;
  if (!tooLong) return false;
  event.preventDefault();
  const parsed = parseSong(text);
  say(
    "problem" in parsed
      ? explainSongProblem(parsed.problem)
      : t`The text has ${text.length.toLocaleString(languageCode())} characters; at most ${MOST_CHARACTERS.toLocaleString(languageCode())} can be pasted. Nothing was changed; paste one song at a time.`,
  );
  return true;
}
