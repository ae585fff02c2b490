/** Roots as English, German and Romance players write them. */
const ROOT =
  "(?:(?:Do|Re|Ré|Mi|Fa|Sol|La|Si|DO|RE|RÉ|MI|FA|SOL|LA|SI)[#b♯♭]?|[A-H](?:is|es|s)?[#b♯♭]?|[CDFGA]is|[DEGA]s)";
const QUALITY = "(?:maj|min|mi|ma|m|M|sus|dim|aug|add|alt|°|ø|Δ|\\+|-)?";
/** A chord as players write it: root, quality, extensions, bass. */
const CHORD_BODY = `${ROOT}${QUALITY}(?:2|4|5|6|7|9|11|13|69|6\\/9)?(?:(?:maj|min|m|M|sus|add|no|dim|aug|omit|[#b♯♭+\\-])\\d{0,2})*(?:\\((?:[#b♯♭\\d,+-]|sus|add|maj|no|omit)+\\))?\\*?(?:/${ROOT})?`;
const CHORD = new RegExp(`^\\(?(?:${CHORD_BODY}|N\\.?C\\.?)\\)?$`);
/** Minor chords in small letters, as German players write them. */
const SMALL_CHORD = /^(?:[a-h]|[cdfga]is|[dega]s)(?:m|\d|sus)?\d?$/;
const INLINE = new RegExp(`\\[(?:${CHORD_BODY}|N\\.?C\\.?|[|/%.: ]{1,6}|\\*[^\\]\\n]{1,40})\\]`, "g");
/** Bar lines, repeats and strokes that stand among chords. */
const BETWEEN = /^(?:\||\|\||:\||\|:|\|\|:|:\|\||%|\/+|-+|–|\.+|,|x\d|\d[x×]|\(x?\d\)|\(\d?[x×]\d?\))$/;
/** Names of what is played stand before a line of chords: "Intro: G C". */
const PLAYED =
  /^(?:intro|outro|interlude|instrumental|turnaround|solo|ending|vamp|vorspiel|zwischenspiel|introducción|bridge|verse|chorus|tag)\s*\d?\s*:\s*(?=\S)/i;
const ROMANCE = /^(?:do|re|ré|mi|fa|sol|la|si)$/i;

export const isChord = (word: string): boolean => CHORD.test(word);

/** What stands on a line of chords: apart at bars that touch chords. */
const chordWords = (line: string): string[] =>
  line
    .trim()
    .replace(PLAYED, "")
    .replace(/([|‖])/g, " $1 ")
    .trim()
    .split(/[\s]+/)
    .filter((word) => word !== "");

/**
 * How surely a line holds nothing but chords: 0 it does not; 1 it could, as "A", "La la" or "C D E" could be sung;
 * 2 it does.
 */
export function chordLineStrength(line: string): 0 | 1 | 2 {
  const words = chordWords(line);
  const chords = words.filter(isChord);
  if (chords.length === 0) return 0;
  const others = words.filter((word) => !isChord(word) && !BETWEEN.test(word) && !SMALL_CHORD.test(word));
  if (others.length > 0) return 0;
  const played = PLAYED.test(line.trim()) || words.some((word) => /^[|:]+$/.test(word) || word === "%");
  if (played) return 2;
  const isLetters = words.every((word) => /^[A-H]$/.test(word));
  const isSyllables = words.every((word) => ROMANCE.test(word));
  const wide = /\S {2,}\S/.test(line.trim());
  if (isSyllables) return new Set(words).size > 1 && wide ? 2 : new Set(words).size > 1 ? 1 : 0;
  if (isLetters) return wide || (words.length === 1 && /^\s{2,}/.test(line)) ? 2 : 1;
  return 2;
}

/**
 * Whether a line holds chords only, as those written above words. One lone letter such as "A" is words unless
 * it stands away from the margin.
 */
export function isChordLine(line: string): boolean {
  const strength = chordLineStrength(line);
  return strength === 2 || (strength === 1 && chordWords(line).length > 1 && !isAlphabet(line));
}

/** "A B C D E F G": letters in their order are sung, not played. */
export const isAlphabet = (line: string): boolean => {
  const letters = line.replace(/[^A-Za-z]/g, "").toUpperCase();
  return letters.length > 3 && "ABCDEFGHIJKLMNOPQRSTUVWXYZ".includes(letters);
};

/** The line without chords in brackets. */
export function stripChords(line: string): string {
  return line.replace(INLINE, "");
}

export const hasChords = (line: string): boolean => line.search(INLINE) >= 0;

/** A line of chords and the words under it as one line with the chords in brackets where they stood. */
export function mergeChords(chordLine: string, words: string): string {
  let merged = "";
  let from = 0;
  for (const match of chordLine.matchAll(/\S+/g)) {
    if (!isChord(match[0])) continue;
    const at = match.index;
    merged += words.slice(from, at).padEnd(Math.max(0, at - from));
    merged += `[${match[0]}]`;
    from = Math.max(from, at);
  }
  return (merged + words.slice(from)).trimEnd();
}
