import { isChordPro, readChordPro } from "../words/chordPro.ts";
import { cleanLines } from "../words/cleanLines.ts";
import { keepSong } from "../words/reader/keepSong.ts";
import { readSong } from "../words/reader/readSong.ts";
import type { Told } from "../words/reader/told.ts";
import { typedLines } from "../words/reader/typedLine.ts";
import { textsFor } from "../words/reference/chooseText.ts";
import { looksLikeReference, saysVerses } from "../words/reference/reference.ts";
import { readReference, type Scripture } from "../words/scripture.ts";
import { parseSong } from "../words/song.ts";
import { type CueDoc, pageCue, readingCue, songCue } from "./cueDoc.ts";
import { explainSongProblem } from "./kinds/song/compile.ts";
import { readNameAndRole } from "./nameAndRole.ts";

export interface UnderstoodAs {
  /** Codes of the scripture texts there are, those in use first. */
  readonly texts?: readonly string[];
  /** Lines of a song that a person said are something else. */
  readonly told?: readonly Told[];
}

export interface Understood {
  readonly doc: CueDoc;
  /** References that it could mean as well. */
  readonly others?: readonly string[];
}

/** What is longer is refused by name when it is read. */
const LONGEST_ASKED = 200_000;

/** Whether text is a song: it has several lines, or one that strokes part into lines. */
export const isManyLines = (typed: string): boolean =>
  typed.length < LONGEST_ASKED && typedLines(typed).filter(({ text }) => text !== "").length > 1;

/**
 * What a person means by text typed or pasted into the one box of Prepare: several lines are a song, a reference
 * is a reading, anything else is a name, parted from its role by a tab, a dash or the first comma.
 * @returns the cue, a sentence when it cannot be one, or undefined for nothing
 */
export function understand(
  typed: string,
  scripture: Scripture,
  { texts = ["web"], told = [] }: UnderstoodAs = {},
): Understood | { readonly problem: string } | undefined {
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
  if (looksLikeReference(only)) {
    const found = readAsReference(only, scripture, texts);
    if (found && "doc" in found) return found;
    // "Studio 54" may be a name; with verses it can only be a reference.
    if (found && (saysVerses(only) || found.why !== "unknownBook")) return { problem: found.problem };
  }
  const { name, role } = readNameAndRole(typed.trim());
  return { doc: pageCue({ fieldSet: "name", values: { name, role } }) };
}

/** The reading that a reference means in the text that it is likeliest for; what is wrong with it otherwise. */
export function readAsReference(typed: string, scripture: Scripture, texts: readonly string[]) {
  const infos = textsFor(
    typed,
    texts.flatMap((code) => scripture.info(code) ?? []),
  );
  let problem: { readonly problem: string; readonly why: string } | undefined;
  for (const { code } of infos) {
    const found = readReference(scripture, code, typed);
    if ("problem" in found) {
      problem ??= found;
      continue;
    }
    const isPlain = found.others.length === 0 && !found.isSpeltOtherwise;
    return {
      doc: readingCue({ reference: isPlain ? typed : found.reference, text: code }),
      ...(found.others.length > 0 && { others: found.others }),
    };
  }
  return problem;
}
