import { t } from "../../../language/t.ts";
import { chordLineStrength, hasChords, isAlphabet, stripChords } from "../../chords.ts";
import type { Weigh } from "../candidate.ts";
import type { PlacedLine } from "../facts.ts";

/** Chords by the number of their step: "1  4  6m  5/7". */
const STEP = "[b#]?[1-7](?:m|maj7?|sus[24]?|dim|[°+-])?\\d?(?:/[b#]?[1-7])?";
const STEPS = new RegExp(`^${STEP}(?:\\s+(?:[|,]\\s+)?${STEP})+$`);

/** A line of chords stands above words, or between bars; a sung line of letters has others like it about it. */
export const weighChords: Weigh = (line, { lines }) => {
  if (hasChords(line.typed) && stripChords(line.text).trim() === "")
    return {
      kind: "chords",
      weight: line.label?.short === "letter" ? 7 : 10,
      why: t`holds nothing but chords`,
    };
  if (STEPS.test(line.text) && lines.filter(({ text }) => STEPS.test(text)).length > 2)
    return { kind: "chords", weight: 9, why: t`holds nothing but chords by their numbers` };
  const strength = chordLineStrength(line.typed);
  if (strength === 0 || namesAndPlays(line, lines)) return undefined;
  if (strength === 2) return { kind: "chords", weight: 11, why: t`holds nothing but chords` };
  if (isAlphabet(line.text)) return undefined;
  const next = lines[line.index + 1];
  const before = lines[line.index - 1];
  const isOver =
    next !== undefined &&
    next.stanza === line.stanza &&
    chordLineStrength(next.typed) === 0 &&
    /\p{L}{2,} \p{L}/u.test(next.text);
  const amongLetters = [next, before].some(
    (each) => each && /^(?:[A-Z]\s+){2,}[A-Z]$/.test(each.text) && chordLineStrength(each.typed) !== 2,
  );
  const others = lines.filter((each) => chordLineStrength(each.typed) === 2).length;
  if (amongLetters && others === 0) return { kind: "chords", weight: 2, why: t`could be chords` };
  const lone = line.text.split(" ").length === 1;
  return {
    kind: "chords",
    weight: (lone ? 1 : 4) + (isOver ? 2 : 0) + Math.min(3, others),
    why: isOver ? t`holds chords for the words under it` : t`holds nothing but chords`,
  };
};

/** "Chorus: C  G  D" above words names the section, and says what is played in it. */
export function namesAndPlays({ label, index, stanza }: PlacedLine, lines: readonly PlacedLine[]): boolean {
  const next = lines[index + 1];
  return (
    label !== undefined &&
    "VCRPOBTS".includes(label.letter) &&
    (label.short === null || label.number !== "") &&
    label.behind !== "" &&
    chordLineStrength(label.behind) > 0 &&
    next?.stanza === stanza &&
    chordLineStrength(next.typed) === 0
  );
}
