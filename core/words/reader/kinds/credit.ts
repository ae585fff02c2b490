import { t } from "../../../language/t.ts";
import type { Weigh } from "../candidate.ts";
import { isCreditLine, looksLikeNames } from "../creditLine.ts";
import { weighNote } from "./note.ts";

/** Lines of a mail or a page above a song. */
const MOST_NOTES = 6;
/** Lines that one credit takes at most. */
const LONGEST_CREDIT = 3;

/** Who made it, when, and under which terms: at the head or the foot. */
export const weighCredit: Weigh = (line, song) => {
  const { lines } = song;
  const { text } = line;
  if (isCreditLine(text))
    return { kind: "credit", weight: 10, why: t`says who made it, or under which terms` };
  const before = lines[line.index - 1];
  const next = lines[line.index + 1];
  // A line that breaks a long credit in two.
  if (line.placeInStanza > 0 && line.index > lines.length / 2 && line.label?.behind !== "") {
    const above = lines.slice(line.index - Math.min(line.placeInStanza, LONGEST_CREDIT), line.index);
    if (above.some((each) => isCreditLine(each.text)))
      return { kind: "credit", weight: 6, why: t`stands among the credits`, zones: ["foot"] };
  }
  const names = looksLikeNames(text);
  // From a phone, in small letters.
  if (line.index === 1 && line.stanza === 0 && /^by\s+\p{L}+(?:\s\p{L}+){0,3}$/iu.test(text))
    return { kind: "credit", weight: 8, why: t`names people, under the title`, zones: ["head"] };
  const isUnderFirst =
    before !== undefined &&
    before.index < MOST_NOTES &&
    lines.slice(0, before.index).every((each) => (weighNote(each, song)?.weight ?? 0) > 8);
  if (names && isUnderFirst && (line.blankAfter || next?.label))
    return {
      kind: "credit",
      weight: line.stanzaLength <= 3 || next?.label?.behind === "" ? 7 : 3,
      why: t`names people, under the title`,
      zones: ["head"],
    };
  if (
    /^[–—-]\s*\p{Lu}/u.test(line.typed.trim()) &&
    looksLikeNames(text.replace(/^[–—-]\s*/, "")) &&
    line.index === lines.length - 1
  )
    return { kind: "credit", weight: 9, why: t`names people, under the song`, zones: ["foot"] };
  if (/^[–—-]\s*["“„«].{2,60}["”“»]/u.test(line.typed.trim()) && line.index === lines.length - 1)
    return { kind: "credit", weight: 9, why: t`names the song and people, under the song`, zones: ["foot"] };
  if (names && next && line.index > lines.length / 2 && isCreditLine(next.text))
    return { kind: "credit", weight: 8, why: t`names people, above the credits`, zones: ["foot"] };
  if (names && line.index === lines.length - 1 && line.stanzaLength === 1 && line.blankBefore)
    return { kind: "credit", weight: 6, why: t`names people, under the song`, zones: ["foot"] };
  return undefined;
};
