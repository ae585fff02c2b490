import { cleanLines, parseSong } from "../words/song.ts";
import { type CompileContext, explainSongProblem } from "./compile.ts";
import type { CueDoc } from "./cueDoc.ts";

/** Starts with a book and goes on with a number: "Ps 23", "1 Jn 1:9", "Song of Solomon 2". */
const LIKE_A_REFERENCE = /^[1-3]?\s*\p{L}[\p{L}\p{M}.' ]*\s*\d/u;
const WITH_VERSES = /\d\s*:\s*\d/;

/**
 * What a person means by text typed or pasted into the one box of Prepare: several lines are a song, a reference
 * is a reading, anything else is a name, parted from its role by a tab, a dash or the first comma.
 * @returns the cue, a sentence when it cannot be one, or undefined for nothing
 */
export function understand(
  typed: string,
  read: CompileContext["read"],
  textCode = "web",
): { readonly doc: CueDoc } | { readonly problem: string } | undefined {
  const lines = cleanLines(typed).filter((line) => line !== "");
  const [only] = lines;
  if (only === undefined) return undefined;
  if (lines.length > 1) {
    const parsed = parseSong(typed);
    if ("problem" in parsed) return { problem: explainSongProblem(parsed.problem) };
    const { title, credit } = parsed.song;
    return { doc: { kind: "song", title, credit, text: typed, lines: {} } };
  }
  if (LIKE_A_REFERENCE.test(only)) {
    const found = read(textCode, only);
    if (!("problem" in found))
      return { doc: { kind: "reading", reference: only, text: textCode, numbers: true } };
    // "Studio 54" may be a name; with verses it can only be a reference.
    if (WITH_VERSES.test(only) || found.why !== "unknownBook") return { problem: found.problem };
  }
  const [name = "", role = ""] = splitName(typed.includes("\t") ? typed.trim() : only);
  return { doc: { kind: "page", fieldSet: "name", values: { name, role }, look: null, stayMs: null } };
}

function splitName(line: string): string[] {
  for (const mark of ["\t", " – ", " — ", " - ", ", "]) {
    const at = line.indexOf(mark);
    if (at > 0) return [line.slice(0, at).trim(), line.slice(at + mark.length).trim()];
  }
  return [line.trim()];
}
