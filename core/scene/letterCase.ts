import type { Letters } from "./properties.ts";
import { titled } from "./writtenWords.ts";

/** Words in the capitals that an object asks for. */
export function inCase(words: string, letterCase: Letters["letterCase"]): string {
  switch (letterCase) {
    case "asTyped":
      return words;
    case "upper":
      return words.toUpperCase();
    case "lower":
      return words.toLowerCase();
    case "title":
      return titled(words);
  }
}
