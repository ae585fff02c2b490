import { t } from "../../../language/t.ts";
import { hasChords, stripChords } from "../../chords.ts";
import type { Weigh } from "../candidate.ts";
import { type PlacedLine, SECTION_LETTER_NAME, type SongFacts } from "../facts.ts";

const OWN_NAME = /^\[([\p{L}\p{N}][^\][|]{0,38})\]:?$/u;

/** The name of a section in brackets that is none of the usual: "[Vamp out]", "[All: spoken]". */
export const ownNameOf = (text: string): string | undefined => OWN_NAME.exec(text)?.[1]?.trim();

/** Names of sections, alone or with words behind them, and numbers that count verses. */
export const weighLabel: Weigh = (line, song) => {
  const { label, text, verse } = line;
  const own = weighOwnName(line, song);
  if (verse && (label?.behind !== "" || label.short !== null)) {
    return verse.behind === ""
      ? { kind: "label", weight: 10, why: t`is the number of a verse` }
      : { kind: "label", weight: verse.marked ? 10 : 7, why: t`begins with the number of a verse` };
  }
  if (song.isLettered && line.placeInStanza === 0 && SECTION_LETTER_NAME.test(text))
    return { kind: "label", weight: 12, why: t`names a section by a letter, as the others are` };
  if (!label) return own;
  if (label.isMisspelt) return { kind: "label", weight: 6.4, why: t`names a section, spelt almost so` };
  const strength = line.isHeading || line.isBold ? 3 : 0;
  const { bracketed, number, colon, times, manner, short, behind } = label;
  if (behind !== "") return weighBehind(line, song, strength);
  const why = t`names a section`;
  if (short === "letter") {
    if (bracketed === "square" && number === "" && hasChords(line.typed)) {
      const isInside =
        !line.blankBefore &&
        song.lines.some((each) => hasChords(each.typed) && stripChords(each.typed).trim() !== "");
      if (isInside) return { kind: "label", weight: 5, why };
      const inBrackets = song.lines.filter((each) => each.label?.short === "letter" && each.label.bracketed);
      return { kind: "label", weight: inBrackets.length > 1 ? 11 : 5, why };
    }
    if (number !== "" || bracketed || colon) return { kind: "label", weight: 11, why };
    const apart = line.blankBefore || line.index === 0;
    const isLoud = text === text.toUpperCase();
    const fits =
      song.shortLabels > 1 &&
      apart &&
      (isLoud ? song.surelyLabelled === 0 || song.numberedLetters > 0 : song.numberedLetters > 0);
    return { kind: "label", weight: fits ? 9 : 2, why };
  }
  if (bracketed && bracketed !== "round") return { kind: "label", weight: 13, why };
  if (bracketed || number !== "" || colon || times > 1 || manner !== "")
    return { kind: "label", weight: 12, why };
  const apart = line.blankBefore || line.index === 0 || line.blankAfter;
  const isSmall = text === text.toLowerCase() && text !== text.toUpperCase();
  const letters = text.replace(/[^\p{L}]/gu, "").length;
  const isAmongOthers = line.blankBefore && song.surelyLabelled > 0;
  if (isSmall)
    return { kind: "label", weight: (apart && (letters > 4 || isAmongOthers) ? 8 : 2) + strength, why };
  return { kind: "label", weight: (apart ? 10 : 7) + strength, why };
};

const weighBehind: (...args: [...Parameters<Weigh>, number]) => ReturnType<Weigh> = (
  line,
  song,
  strength,
) => {
  const { label } = line;
  if (!label) return undefined;
  const { bracketed, number, colon, short, behind } = label;
  const why = t`names a section, and its words follow`;
  // "[C]Come in": a chord, where others stand within lines.
  if (bracketed === "square" && short === "letter" && number === "" && hasChordsWithin(song))
    return undefined;
  if (bracketed === "square") return { kind: "label", weight: 11, why };
  if (short === "letter" && number === "" && !colon) return undefined;
  if (short === "letter") return { kind: "label", weight: colon || number !== "" ? 9 : 2, why };
  if (colon) return { kind: "label", weight: 10, why };
  if (bracketed === "round") return { kind: "label", weight: 8, why };
  if (number !== "" && /^[\p{Lu}\p{Lo}"“¡¿]/u.test(behind)) return { kind: "label", weight: 8, why };
  const name = line.text.slice(0, line.text.length - behind.length).trim();
  const isLoud =
    name.length > 3 &&
    name === name.toUpperCase() &&
    name !== name.toLowerCase() &&
    behind !== behind.toUpperCase();
  if (isLoud) return { kind: "label", weight: 8 + strength, why };
  // "Chorus Come in from the cold", where other sections are named.
  const isNamed = (song.surelyLabelled > 0 || song.lines.some(({ verse }) => verse)) && line.index > 0;
  if (isNamed && name.length > 4 && /^\p{Lu}\p{Ll}+$/u.test(name) && /^\p{Lu}/u.test(behind))
    return { kind: "label", weight: 5.5, why };
  // A tab or a wide gap parts the name from its words.
  if (line.typed.trimStart().startsWith(name) && /^\S* {2,}/.test(line.typed.trimStart().slice(name.length)))
    return { kind: "label", weight: 8, why };
  // "Ref. Sing to the water"
  if (/^\p{L}{2,6}\.$/u.test(name) && /^[\p{Lu}\p{Lo}]/u.test(behind))
    return { kind: "label", weight: 8, why };
  return undefined;
};

/** Whether chords in brackets stand within the lines of the song. */
const hasChordsWithin = ({ lines }: SongFacts) =>
  lines.some(
    ({ typed }) => hasChords(typed.trim().replace(/^\[[^\]]*\]/, "")) && /\p{L}{2}/u.test(stripChords(typed)),
  );

const weighOwnName: Weigh = (line, song) => {
  const own = ownNameOf(line.text);
  if (own === undefined && isLoudAmongLabels(line, song))
    return { kind: "label", weight: 5.5, why: t`stands alone in capitals, as the other labels do` };
  if (own === undefined || own.split(/\s+/).length > 4 || hasChords(line.typed)) return undefined;
  const next = song.lines[line.index + 1];
  return next && next.stanza === line.stanza && line.placeInStanza === 0
    ? { kind: "label", weight: 7, why: t`stands in brackets above words` }
    : undefined;
};

/** One word in capitals alone in its stanza, where labels are written so and words are not: "TURN". */
function isLoudAmongLabels(
  { text, stanzaLength, index }: PlacedLine,
  { lines, isShouted }: SongFacts,
): boolean {
  return (
    stanzaLength === 1 &&
    index > 0 &&
    index < lines.length - 1 &&
    !isShouted &&
    /^\p{Lu}{3,12}$/u.test(text) &&
    lines.filter(({ label, text: other }) => label?.behind === "" && other === other.toUpperCase()).length > 2
  );
}
