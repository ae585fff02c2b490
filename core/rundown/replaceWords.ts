import type { FieldSet } from "../scene/fieldSet.ts";
import type { CueDoc } from "./cueDoc.ts";
import { kindOf } from "./kinds.ts";

/** What is looked for in the words of a rundown. */
export interface WordsQuery {
  readonly find: string;
  readonly matchCase: boolean;
  readonly wholeWords: boolean;
}

export interface FoundWords {
  /** Where: a field's label, or the part of a song. */
  readonly where: string;
  /** The line it stands on, with the place of it. */
  readonly line: string;
  readonly from: number;
  readonly to: number;
}

/** Every place of a cue's words, in reading order. Scripture is not ours to change. */
export function findInCue(
  doc: CueDoc,
  query: WordsQuery,
  fieldSets: ReadonlyMap<string, FieldSet>,
): FoundWords[] {
  const pattern = patternOf(query);
  if (!pattern) return [];
  const found: FoundWords[] = [];
  kindOf(doc).visitTexts(doc, fieldSets, (text, where) => {
    for (const line of text.split("\n"))
      for (const match of line.matchAll(pattern))
        found.push({ where, line, from: match.index, to: match.index + match[0].length });
    return text;
  });
  return found;
}

/** The cue with every place replaced; the same object when there is none. */
export function replaceInCue(
  doc: CueDoc,
  query: WordsQuery,
  by: string,
  fieldSets: ReadonlyMap<string, FieldSet>,
): { readonly doc: CueDoc; readonly count: number } {
  const pattern = patternOf(query);
  let count = 0;
  if (!pattern) return { doc, count };
  const changed = kindOf(doc).visitTexts(doc, fieldSets, (text) =>
    text.replace(pattern, (match) => {
      count++;
      return query.matchCase ? by : likeCase(match, by);
    }),
  );
  return count === 0 ? { doc, count } : { doc: changed, count };
}

/** A replacement in capitals, or with a capital, where the words it replaces were so. */
function likeCase(match: string, by: string): string {
  if (match.length > 1 && match === match.toUpperCase() && match !== match.toLowerCase())
    return by.toUpperCase();
  const [first = ""] = match;
  return first !== first.toLowerCase() ? by.charAt(0).toUpperCase() + by.slice(1) : by;
}

function patternOf({ find, matchCase, wholeWords }: WordsQuery): RegExp | undefined {
  if (find === "") return undefined;
  const escaped = find
    .normalize("NFC")
    .replace(/[.*+?^${}()|[\]\\]/g, "\\$&")
    .replace(/['’]/g, "['’]");
  const body = wholeWords ? `(?<![\\p{L}\\p{N}])${escaped}(?![\\p{L}\\p{N}])` : escaped;
  return new RegExp(body, matchCase ? "gu" : "giu");
}
