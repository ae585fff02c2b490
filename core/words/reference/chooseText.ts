import { foldWords } from "../foldWords.ts";
import type { ScriptureInfo } from "../scripture.ts";
import { languagesOf } from "./books.ts";
import { bareBookName, plainReference } from "./plain.ts";

/**
 * The texts in the order that a typed reference is most likely meant for: one that is named behind it, then those in
 * a language that the book was named in, each as they come.
 * @param texts those in use first
 */
export function textsFor(typed: string, texts: readonly ScriptureInfo[]): ScriptureInfo[] {
  const { text, textName } = plainReference(typed);
  const named = languagesOf(bareBookName(text.replace(/[\s.,]*\d[^\p{L}]*$/u, "")));
  const asked = foldWords(textName);
  const score = ({ code, name, language }: ScriptureInfo) => {
    const isAsked =
      asked !== "" &&
      (foldWords(code).startsWith(asked) || foldWords(name) === asked || initials(name) === asked);
    return Number(isAsked) * 2 + Number(named.includes(language.split("-")[0] ?? ""));
  };
  return [...texts].sort((a, b) => score(b) - score(a));
}

const initials = (name: string) =>
  foldWords(name)
    .split(" ")
    .map((word) => word[0] ?? "")
    .join("");
