const SPELT_OUT: Readonly<Record<string, string>> = { ß: "ss", æ: "ae", œ: "oe", ø: "o", đ: "d", ł: "l" };
const PLAIN = /^[\x20-\x7f‘’“”–—…]*$/;

/** Words as they are compared: no marks on letters, no case, no punctuation, single spaces. */
export function foldWords(text: string): string {
  const lower = text.toLowerCase();
  // Most texts need no Unicode tables, which take five times as long.
  if (PLAIN.test(lower))
    return lower
      .replace(/['’]/g, "")
      .replace(/[^a-z0-9]+/g, " ")
      .trim();
  return lower
    .normalize("NFD")
    .replace(/[ßæœøđł]/g, (letter) => SPELT_OUT[letter] as string)
    .replace(/[\p{M}'’ʼ]/gu, "")
    .replace(/[^\p{L}\p{N}]+/gu, " ")
    .trim();
}
