import { stripChords } from "../chords.ts";
import { foldWords } from "../foldWords.ts";
import type { PlacedLine, SongFacts } from "./facts.ts";
import { countBehind, isManner } from "./label.ts";

/** A line as it is sung, without what only says how: counts, marks of repeats, who sings. */
export interface SungWords {
  readonly text: string;
  /** How often this line alone is sung. */
  readonly times: number;
  /** A repeat begins before it, or ends after it. */
  readonly opens: boolean;
  readonly closes: boolean;
}

const OPENS = /^(?:\|{1,2}:|[/]{1,2}:|\|\||‖:|\/{2,3}(?=\s*\S))\s*/;
const CLOSES =
  /\s*(?::\|{1,2}|:[/]{1,2}|:‖|\|\||\/{2,3})\s*(?:[([]?\s*(?:[x×]\s*(\d)|(\d)\s*[x×])?\s*[)\]]?)?$/i;
/** How a line is sung, in brackets behind it; echoes in brackets are sung. */
const HOW =
  /(?<=\S)\s*[([](?:(?:and |then )?fade(?:s|ing)?(?: out)?|slow(?:er|ing)?|slow down|rit\.?|hold|repeat and fade|spoken|a ?cappella|last time)[)\]]$/i;
const WHO = /^[([]?([^:()[\]]{2,24}?)[)\]]?\s*[:：]\s+(?=\S)/u;
const ONE_LETTER_WHO = /^[([]?([LAPCVR])[)\]]?\s*[:.]\s+(?=\S)/;

/** "All", "Men and women", "Group 2"; but "Men of the harbour" is sung. */
const namesSingers = (who: string): boolean =>
  who
    .split(/\s*(?:[,&/+]|\s(?:and|und|y|et|e|en|och|og)\s)\s*/)
    .every((part) => isManner(part) && part.split(" ").length <= 2);

/** How a line is sung. Words are never changed otherwise. */
export function sungWords(
  line: Pick<PlacedLine, "typed" | "text">,
  song: Pick<SongFacts, "isListed">,
  words = line.text,
): SungWords {
  let text = stripChords(words).replace(/ {2,}/g, " ").trim();
  if (song.isListed) text = text.replace(/^[([]?\d{1,3}[.):\]]?\s+/, "");
  const opens = OPENS.test(text);
  if (opens) text = text.replace(OPENS, "");
  const close = /[|‖/]/.test(text) ? CLOSES.exec(text) : null;
  const closes = close !== null && (close[0] ?? "").trim() !== "";
  let times = 1;
  if (closes) {
    text = text.slice(0, close.index).trim();
    times = Number(close[1] ?? close[2] ?? 2);
  }
  const counted = countBehind(text);
  if (counted && counted.before !== "" && /\p{L}/u.test(counted.before)) {
    text = counted.before;
    times = Math.max(times, counted.times);
  }
  text = text.replace(HOW, "");
  const who = text.includes(":") || text.includes("：") ? WHO.exec(text) : null;
  if (who && namesSingers(who[1] as string)) text = text.slice(who[0].length);
  // A page break may have cut a mark in two.
  text = text.replace(/^[|‖]\s*|\s*[|‖]$/g, "").trim();
  return { text, times: Math.max(1, Math.min(9, times)), opens, closes };
}

/** Prefixes such as "L:" and "A:" say who speaks where several lines have them. */
export const speaksInTurns = (song: SongFacts): boolean =>
  song.lines.filter(({ text }) => ONE_LETTER_WHO.test(text)).length > 2;

/** How alike two stanzas are, by their words in order: 1 the same, 0 nothing in common. */
export function likeness(a: readonly string[], b: readonly string[]): number {
  const one = a.flatMap((line) => foldWords(line).split(" "));
  const other = b.flatMap((line) => foldWords(line).split(" "));
  if (one.length === 0 || other.length === 0 || one.length * other.length > 250_000) return 0;
  return (2 * longestCommon(one, other)) / (one.length + other.length);
}

/** How many words of a stanza another has in other words. */
export function wordsApart(a: readonly string[], b: readonly string[]): number {
  const one = a.flatMap((line) => foldWords(line).split(" "));
  const other = b.flatMap((line) => foldWords(line).split(" "));
  return Math.max(one.length, other.length) - longestCommon(one, other);
}

/** Length of the longest common subsequence. */
function longestCommon(a: readonly string[], b: readonly string[]): number {
  let row = new Uint16Array(b.length + 1);
  for (const word of a) {
    const next = new Uint16Array(b.length + 1);
    for (let i = 0; i < b.length; i++)
      next[i + 1] =
        word === b[i] ? (row[i] as number) + 1 : Math.max(row[i + 1] as number, next[i] as number);
    row = next;
  }
  return row[b.length] as number;
}
