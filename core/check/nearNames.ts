import { editSteps } from "../words/editSteps.ts";
import type { CueText } from "./textsOf.ts";

interface Named<C> {
  readonly cue: C;
  /** As it is written there. */
  readonly name: string;
  /** As it is written more often, or first. */
  readonly other: string;
  /** How often it is written so. */
  readonly times: number;
}

/** Two or three words with capitals, one after another: "Ilse Tarrow", "Gannet Steps", "Loch na Lume". */
const NAME =
  /(?<![\p{L}\p{N}])\p{Lu}[\p{L}\p{M}’'.-]*(?:[ \u00a0](?:(?:de|da|di|van|von|der|la|le|na|of|the|y|e)[ \u00a0])?\p{Lu}[\p{L}\p{M}’'.-]*)+/gu;
/** Shorter words differ too easily. */
const LEAST_LETTERS = 4;
/** What the ends of words may differ in and mean another: plurals, genitives, other endings. */
const OTHER_ENDING = /^(.*?)(?:’s|'s|s|es|ed|ing|er|y|ies)?$/u;

const fold = (name: string) =>
  name.normalize("NFKD").replace(/\p{M}/gu, "").toLowerCase().replace(/[’']/g, "’");

/**
 * Names that are spelt nearly as another: words of which one is the same and another differs by a letter or two, as a slip of the
 * fingers or the ear would have it.
 * @returns for each place with the rarer spelling, what the other is
 */
export function nearNames<C>(texts: readonly (CueText & { readonly cue: C })[]): Named<C>[] {
  const found = new Map<
    string,
    { readonly words: readonly string[]; count: number; readonly cues: C[]; readonly at: number }
  >();
  let at = 0;
  for (const { text, cue } of texts)
    for (const [match] of text.matchAll(NAME)) {
      const words = match.split(/[ \u00a0]/).map((word) => word.replace(/[.,’'-]+$/u, ""));
      // Of a longer run every two that stand together: "Leader Teodor Anselm" has the name in it.
      for (let i = 0; i + 1 < words.length; i++) {
        const pair = words.slice(i, i + 2);
        const name = pair.join(" ");
        const one = found.get(name) ?? { words: pair, count: 0, cues: [], at: at++ };
        one.count++;
        if (!one.cues.includes(cue)) one.cues.push(cue);
        found.set(name, one);
      }
    }
  const names = [...found].map(([name, one]) => ({ name, ...one, folded: one.words.map(fold) }));
  const byWord = new Map<string, typeof names>();
  for (const one of names)
    for (const word of new Set(one.folded)) {
      const list = byWord.get(word);
      if (list) list.push(one);
      else byWord.set(word, [one]);
    }
  const result: Named<C>[] = [];
  for (const one of names) {
    let best: (typeof names)[number] | undefined;
    for (const other of new Set(one.folded.flatMap((word) => byWord.get(word) ?? []))) {
      if (other === one || isOtherCase(one.name, other.name) || !areNear(one.folded, other.folded)) continue;
      const isBetter = other.count > one.count || (other.count === one.count && other.at < one.at);
      if (isBetter && (!best || other.count > best.count)) best = other;
    }
    if (best)
      for (const cue of one.cues) result.push({ cue, name: one.name, other: best.name, times: best.count });
  }
  return result;
}

/** A title in capitals is no other spelling. */
const isOtherCase = (a: string, b: string): boolean => a.toLowerCase() === b.toLowerCase();

/** What begins a line as often as a name does: it makes no name of the word after it. */
const BEGINNINGS = new Set([
  "with",
  "from",
  "this",
  "that",
  "your",
  "they",
  "when",
  "what",
  "have",
  "will",
  "here",
]);
const isOfName = (word: string): boolean => word.length >= LEAST_LETTERS && !BEGINNINGS.has(word);

/** One word the same, the other a slip away; or the same letters with other accents or capitals. */
function areNear(a: readonly string[], b: readonly string[]): boolean {
  const [first, last] = [a[0] as string, a[1] as string];
  const [otherFirst, otherLast] = [b[0] as string, b[1] as string];
  if (first === otherFirst && last === otherLast) return true;
  if (first === otherFirst) return isOfName(first) && isSlip(last, otherLast);
  return last === otherLast && isOfName(last) && isSlip(first, otherFirst);
}

function isSlip(a: string, b: string): boolean {
  const shorter = Math.min(a.length, b.length);
  if (shorter < LEAST_LETTERS) return false;
  const stem = (word: string) => OTHER_ENDING.exec(word)?.[1] ?? word;
  if (stem(a) === b || stem(b) === a || stem(a) === stem(b)) return false;
  return editSteps(a, b) <= (shorter < 7 ? 1 : 2);
}
