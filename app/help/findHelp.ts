import { foldWords } from "../../core/words/foldWords.ts";
import type { Section } from "./sections.ts";

const MOST_FOUND = 4;
const SHORTEST_QUERY = 3;
/** Words that say that help is wanted, and nothing of what with. */
const ASKING = new Set([
  "help",
  "how",
  "to",
  "do",
  "i",
  "what",
  "is",
  "the",
  "a",
  "why",
  "my",
  "does",
  "not",
  "can",
]);
const AROUND = 60;

export interface FoundHelp {
  readonly section: Section;
  /** Some words about what was found. */
  readonly words: string;
}

/** Sections that have all the words that were typed: those that have them in their title first. */
export function findHelp(query: string, sections: readonly Section[]): FoundHelp[] {
  const all = foldWords(query).split(" ").filter(Boolean);
  const wanted = all.filter((word) => !ASKING.has(word));
  if (wanted.join("").length < SHORTEST_QUERY) return [];
  return sections
    .flatMap((section) => {
      const title = foldWords(section.title);
      const words = foldWords(`${section.guideName} ${section.words}`);
      const has = (text: string, word: string) => ` ${text}`.includes(` ${word}`);
      if (!wanted.every((word) => has(title, word) || has(words, word))) return [];
      const inTitle = wanted.filter((word) => has(title, word)).length;
      // Of two that have them in their title the one with the shorter title is more about them, else the one that says them more often.
      const often = wanted.reduce((sum, word) => sum + ` ${words}`.split(` ${word}`).length - 1, 0);
      const weight = inTitle > 0 ? inTitle - title.length / 1_000 : Math.min(often / 100, 0.5);
      return [{ weight, section, words: wordsAbout(section.words, wanted[0] ?? "") }];
    })
    .sort((a, b) => b.weight - a.weight)
    .slice(0, MOST_FOUND)
    .map(({ section, words }) => ({ section, words }));
}

function wordsAbout(text: string, word: string): string {
  const at = text.toLowerCase().indexOf(word);
  const from = at < AROUND ? 0 : text.indexOf(" ", at - AROUND) + 1;
  return `${from > 0 ? "… " : ""}${text.slice(from, from + 3 * AROUND)}`;
}
