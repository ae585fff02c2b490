import { isChordPro, readChordPro } from "../words/chordPro.ts";
import { cleanLines } from "../words/cleanLines.ts";
import { keepSong } from "../words/reader/keepSong.ts";
import { readSong } from "../words/reader/readSong.ts";
import type { Told } from "../words/reader/told.ts";
import { typedLines } from "../words/reader/typedLine.ts";
import { readReference, type Scripture } from "../words/scripture.ts";
import { parseSong } from "../words/song.ts";
import { explainSongProblem } from "./compileSong.ts";
import { type CueDoc, pageCue, readingCue, songCue } from "./cueDoc.ts";

/** Starts with a book and goes on with a number: "Ps 23", "1 Jn 1:9", "Song of Solomon 2". */
const LIKE_A_REFERENCE = /^[1-3]?\s*\p{L}[\p{L}\p{M}.' ]*\s*\d/u;
const WITH_VERSES = /\d\s*:\s*\d/;

export interface UnderstoodAs {
  readonly textCode?: string;
  /** Lines of a song that a person said are something else. */
  readonly told?: readonly Told[];
}

/** Whether text is a song: it has several lines, or one that strokes part into lines. */
export const isManyLines = (typed: string): boolean =>
  typedLines(typed).filter(({ text }) => text !== "").length > 1;

/**
 * What a person means by text typed or pasted into the one box of Prepare: several lines are a song, a reference
 * is a reading, anything else is a name, parted from its role by a tab, a dash or the first comma.
 * @returns the cue, a sentence when it cannot be one, or undefined for nothing
 */
export function understand(
  typed: string,
  scripture: Scripture,
  { textCode = "web", told = [] }: UnderstoodAs = {},
): { readonly doc: CueDoc } | { readonly problem: string } | undefined {
  const lines = cleanLines(typed).filter((line) => line !== "");
  const [only] = lines;
  if (only === undefined) return undefined;
  if (lines.length > 1 || isManyLines(typed)) {
    if (isChordPro(typed)) {
      const song = readChordPro(typed);
      const parsed = parseSong(song.text, song.title, { told });
      if ("problem" in parsed) return { problem: explainSongProblem(parsed.problem) };
      return { doc: songCue({ ...song, title: parsed.song.title, told: [...told] }) };
    }
    const read = readSong(typed, { told });
    if ("problem" in read) return { problem: explainSongProblem(read.problem) };
    return { doc: songCue(keepSong(typed, read.reading, told)) };
  }
  if (LIKE_A_REFERENCE.test(only)) {
    const found = readReference(scripture, textCode, only);
    if (!("problem" in found)) return { doc: readingCue({ reference: only, text: textCode }) };
    // "Studio 54" may be a name; with verses it can only be a reference.
    if (WITH_VERSES.test(only) || found.why !== "unknownBook") return { problem: found.problem };
  }
  const [name = "", role = ""] = splitName(typed.includes("\t") ? typed.trim() : only);
  return { doc: pageCue({ fieldSet: "name", values: { name, role } }) };
}

function splitName(line: string): string[] {
  for (const mark of ["\t", " – ", " — ", " - ", ", "]) {
    const at = line.indexOf(mark);
    if (at > 0) return [line.slice(0, at).trim(), line.slice(at + mark.length).trim()];
  }
  return [line.trim()];
}
