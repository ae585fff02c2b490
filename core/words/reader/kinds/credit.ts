import type { Weigh } from "../candidate.ts";
import { isCreditLine, looksLikeNames } from "../creditLine.ts";

/** Lines that credits take at most. */
const LONGEST_CREDITS = 12;

/** Who made it, when, and under which terms: at the head or the foot. */
export const weighCredit: Weigh = (line, { lines }) => {
  const { text } = line;
  if (isCreditLine(text))
    return { kind: "credit", weight: 10, why: "says who made it, or under which terms" };
  const before = lines[line.index - 1];
  // A line that breaks a long credit in two.
  if (line.placeInStanza > 0 && line.index > lines.length / 2) {
    const above = lines.slice(line.index - Math.min(line.placeInStanza, LONGEST_CREDITS), line.index);
    if (above.some((each) => isCreditLine(each.text)))
      return { kind: "credit", weight: 6, why: "stands among the credits", zones: ["foot"] };
  }
  const names = looksLikeNames(text);
  // From a phone, in small letters.
  if (line.index === 1 && line.stanza === 0 && /^by\s+\p{L}+(?:\s\p{L}+){0,3}$/iu.test(text))
    return { kind: "credit", weight: 8, why: "names people, under the title", zones: ["head"] };
  if (names && before?.index === 0 && (line.blankAfter || lines[line.index + 1]?.label))
    return {
      kind: "credit",
      weight: line.stanzaLength <= 3 ? 7 : 3,
      why: "names people, under the title",
      zones: ["head"],
    };
  if (
    /^[–—-]\s*\p{Lu}/u.test(line.typed.trim()) &&
    looksLikeNames(text.replace(/^[–—-]\s*/, "")) &&
    line.index === lines.length - 1
  )
    return { kind: "credit", weight: 9, why: "names people, under the song", zones: ["foot"] };
  if (/^[–—-]\s*["“„«].{2,60}["”“»]/u.test(line.typed.trim()) && line.index === lines.length - 1)
    return { kind: "credit", weight: 9, why: "names the song and people, under the song", zones: ["foot"] };
  if (names && line.index === lines.length - 1 && line.stanzaLength === 1 && line.blankBefore)
    return { kind: "credit", weight: 6, why: "names people, under the song", zones: ["foot"] };
  return undefined;
};
