/** Letters and numbers after a name that belong to it: degrees, orders, generations. */
const AFTER_NAME =
  /^(?:m\.?d\.?|d\.?d\.?s\.?|d\.?v\.?m\.?|ph\.?\s?d\.?|d\.?phil\.?|m\.?phil\.?|[bm]\.?a\.?|[bm]\.?sc\.?|m\.?s\.?|m\.?b\.?a\.?|[bm]\.?ed\.?|ed\.?d\.?|m\.?div\.?|[dt]\.?h\.?d\.?|d\.?min\.?|s\.?t\.?d\.?|j\.?d\.?|ll\.?[bmd]\.?|r\.?n\.?|c\.?p\.?a\.?|p\.?e\.?|esq\.?|[oc]\.?b\.?e\.?|m\.?b\.?e\.?|[kq]\.?c\.?|f\.?r\.?s\.?|frcp|frcs|s\.?j\.?|o\.?p\.?|o\.?s\.?b\.?|ofm|jr\.?|sr\.?|i{2,3}|iv|dipl\.-?\s?ing\.?|mag\.?)$/i;

/** Bullets and numbers at the head of a line of a list. */
const HEAD = /^\s*(?:[•·▪◦‣●○∙❖➤►▸*]|[–—-](?=\s)|\(?\d{1,4}[.)]|#\d{1,4}[.):]?)\s+(?=\S)/u;
const MARKS: readonly (readonly [name: string, at: RegExp])[] = [
  ["tab", /\t+/],
  ["bar", /\s*[|¦]\s*/],
  ["spaces", / {3,}|(?<=\S) {2,}(?=\S)/],
  ["dash", /\s+[–—]\s*|\s+-{1,2}\s+|\s+-(?=\p{L})|(?<=\p{L})-\s+/u],
  ["brackets", /\s*\((?=[^()]*\)\s*$)/],
  ["colon", /\s*:\s+/],
  ["comma", /\s*,\s*/],
];

/** A line of a list without its bullet or number. */
export const withoutHead = (line: string): string => line.replace(HEAD, "");

/** The first cell with the letters after a name that a comma has parted from it: "Noor Vael, MD" stays together. */
export function joinAfterName(cells: readonly string[]): string[] {
  const [name = "", ...rest] = cells;
  const letters = rest.findIndex((cell) => !AFTER_NAME.test(cell.trim()));
  const count = letters < 0 ? rest.length : letters;
  return [[name, ...rest.slice(0, count)].map((cell) => cell.trim()).join(", "), ...rest.slice(count)];
}

export interface ParsedName {
  readonly name: string;
  readonly role: string;
  /** What parts them; empty where there is a name alone. */
  readonly mark: string;
}

/** A name and what somebody is, however they are parted: by a tab, a bar, spaces, a dash, brackets, a colon, a comma. */
export function readNameAndRole(line: string): ParsedName {
  const text = withoutHead(line.replace(/[\u00a0\u3000]/g, " ")).trim();
  for (const [mark, at] of MARKS) {
    const match = at.exec(text);
    if (!match || match.index === 0) continue;
    const name = text.slice(0, match.index);
    let role = text.slice(match.index + match[0].length);
    if (mark === "brackets") role = role.replace(/\)\s*$/, "");
    if (mark === "comma") {
      const [whole = "", ...rest] = joinAfterName(text.split(/\s*,\s*/));
      if (rest.length === 0) return { name: tidy(whole), role: "", mark: "" };
      return { name: tidy(whole), role: tidy(rest.join(", ")), mark };
    }
    if (mark === "spaces" && /\s-|-\s|[–—]/.test(text)) continue;
    if (role.trim() !== "") return { name: tidy(name), role: tidy(role), mark };
  }
  return { name: tidy(text), role: "", mark: "" };
}

const tidy = (text: string) =>
  text
    .replace(/\s+/g, " ")
    .replace(/[,;:]+$/, "")
    .trim();

/** Looks like somebody's name: a few words with capitals, none of them a sentence. */
export const looksLikeName = (text: string): boolean =>
  text.length <= 60 &&
  /^(?:(?:dr|prof|rev|fr|sr|st|mr|mrs|ms|sir|dame|pastor|bishop|canon|herr|frau|don|doña|padre|hermana)\.?\s+)?\p{Lu}[\p{L}.'’-]*(?:\s+(?:\p{Lu}[\p{L}.'’-]*|de|da|do|dos|del|la|von|van|der|den|ter|di|bin|al|el|und|and|&|y|et))*(?:,\s*[\p{L}.]{1,8})?$/iu.test(
    text,
  ) &&
  text.split(/\s+/).filter((word) => /^\p{Lu}/u.test(word)).length >= Math.min(2, text.split(/\s+/).length);
