import type { FlowUnit } from "./flow.ts";
import type { ReadPassage, Scripture, Verse } from "./scripture.ts";
import { numberedText, versesOf } from "./scripture.ts";
import { samePassages, sameVerses } from "./versification.ts";

/**
 * One unit for each verse, with what another text says in the verses that are the same. Where several verses are
 * one there, its words stand with the first of them.
 * @param numbers puts the other text's own verse numbers into its words
 */
export function pairVerses(
  scripture: Scripture,
  { passage, verses }: ReadPassage,
  fromText: string,
  toText: string,
  numbers: boolean,
  keepsLines: boolean,
): FlowUnit[] {
  const tidy = (text: string) => (keepsLines ? text : text.replaceAll("\n", " "));
  const others = new Map<string, Verse>();
  const [from, to] = [numberedText(scripture, fromText), numberedText(scripture, toText)];
  for (const same of samePassages(passage, from, to))
    for (const verse of versesOf(scripture, toText, same))
      others.set(`${verse.chapter}:${verse.verse}`, verse);
  const shown = new Set<string>();
  return verses.map(({ chapter, verse, text }, i) => {
    const same = sameVerses({ book: passage.from.book, chapter, verse }, from, to);
    const second = same.flatMap((ref) => {
      const key = `${ref.chapter}:${ref.verse}`;
      const other = others.get(key);
      if (!other || shown.has(key)) return [];
      shown.add(key);
      return [`${numbers ? `^${other.verse}^\u00a0` : ""}${tidy(other.text)}`];
    });
    const words = tidy(text);
    const isPoetry = words.includes("\n") || verses[i - 1]?.text.includes("\n") === true;
    return {
      text: words,
      join: keepsLines && isPoetry ? "line" : "space",
      mustBegin: false,
      endRank: "verse",
      verse: { chapter, verse },
      second: second.join(" "),
    };
  });
}
