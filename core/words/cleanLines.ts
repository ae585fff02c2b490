/** Normalised lines: every kind of line end, no control or invisible characters, single spaces. */
export function cleanLines(text: string): string[] {
  return splitLines(text).map((line) =>
    dropInvisible(line.replace(/[\t\u00a0]/g, " "))
      .replace(/ {2,}/g, " ")
      .trim(),
  );
}

/** Lines at every kind of line end, composed as NFC. */
export const splitLines = (text: string): string[] =>
  text.normalize("NFC").split(/\r\n|\r|\n|\u0085|\u2028|\u2029|\v|\f/);

/** Control characters, zero-width marks that no script needs, soft hyphens. Joiners that scripts need stay. */
export const dropInvisible = (line: string): string =>
  line.replace(/[\p{Cc}\u200b\u2060\ufeff\u00ad\ufffe\uffff]/gu, "");
