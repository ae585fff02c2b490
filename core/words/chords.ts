/** A chord as players write it: root, quality, extensions, bass. */
const CHORD_BODY =
  "[A-H][#b♯♭]?(?:maj|min|mi|m|M|sus|dim|aug|add|alt|°|ø|Δ|\\+|-)?\\d{0,2}(?:(?:maj|min|m|M|sus|add|no|dim|aug|[#b♯♭+\\-])\\d{1,2})*(?:\\([#b♯♭\\d,]+\\))?(?:/[A-H][#b♯♭]?)?";
const CHORD = new RegExp(`^(?:${CHORD_BODY}|N\\.?C\\.?)$`);
const INLINE = new RegExp(`\\[(?:${CHORD_BODY}|N\\.?C\\.?|\\*[^\\]\\n]{1,40})\\]`, "g");
/** Bar lines, repeats and strokes that stand among chords. */
const BETWEEN = /^(?:\||\|\||:\||\|:|%|\/+|-+|x\d|\(x?\d\))$/;

export const isChord = (word: string): boolean => CHORD.test(word);

/**
 * Whether a line holds chords only, as those written above words. One lone letter such as "A" is words unless
 * it stands away from the margin.
 */
export function isChordLine(line: string): boolean {
  const words = line.trim().split(/\s+/);
  if (words[0] === "") return false;
  const chords = words.filter(isChord);
  if (chords.length === 0 || chords.length + words.filter((word) => BETWEEN.test(word)).length < words.length)
    return false;
  return words.length > 1 || words[0]?.length !== 1 || /^\s{2,}/.test(line);
}

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
