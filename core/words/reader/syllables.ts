/** Syllables that stand apart as under notes: "car - ry our lan - terns", "car-ry our lan-terns". */
const SPACED = /(\p{L})\s+[-_]+\s+(?=\p{Ll})/gu;
const TIGHT = /(\p{L}{1,5})[-‐](?=\p{Ll}{1,6}(?!\p{L}))/gu;

/** Whether a text is written in syllables: many lines have several words taken apart. */
export function hasSyllables(lines: readonly string[]): boolean {
  const spaced = lines.filter((line) => (line.match(SPACED)?.length ?? 0) > 0).length;
  const tight = lines.filter((line) => (line.match(TIGHT)?.length ?? 0) > 1).length;
  return (
    lines.length > 0 &&
    (spaced >= Math.max(1, lines.length * 0.3) || tight >= Math.max(2, lines.length * 0.4))
  );
}

/** The words joined again. It is for who asks: hyphens may belong to the words. */
export const joinSyllables = (text: string): string => text.replace(SPACED, "$1").replace(TIGHT, "$1");
