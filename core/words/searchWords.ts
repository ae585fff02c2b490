import { foldWords } from "./foldWords.ts";

/** Letters of scripts that put no space between words. */
const UNSPACED =
  /[\p{Script=Han}\p{Script=Hiragana}\p{Script=Katakana}\p{Script=Thai}\p{Script=Lao}\p{Script=Khmer}\p{Script=Myanmar}]/gu;
const ANY_UNSPACED = new RegExp(UNSPACED.source, "u");

/** Folded words as they are looked for: where a script puts no space between words, every letter stands for itself. */
export function searchWords(text: string): string {
  const folded = foldWords(text);
  return ANY_UNSPACED.test(folded) ? folded.replace(UNSPACED, " $& ").replace(/ +/g, " ").trim() : folded;
}

/** Whether a folded word is a letter of such a script. */
export const isUnspaced = (word: string): boolean => ANY_UNSPACED.test(word);
