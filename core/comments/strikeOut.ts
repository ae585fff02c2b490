import { foldWords } from "../words/foldWords.ts";

/** What of a comment is not to be shown. */
export interface Hiding {
  /** Words of the venue's, and beginnings of words with "*" after them. */
  readonly hiddenWords: readonly string[];
  readonly hidesLinks: boolean;
}

/** A stretch of a text: shown, or struck out and why. */
export interface Piece {
  readonly text: string;
  readonly struck: "word" | "link" | null;
}

/** What stands on a page in the place of what is struck out. */
const LEFT_OUT = "…";

/** Addresses with a scheme or "www.", names of hosts with a path or a usual end, and addresses of mail. */
const LINKS =
  /\b(?:https?:\/\/|www\.)[^\s<>“”"]+|\b[\w.+-]+@[\w-]+(?:\.[\w-]+)+|\b(?:[a-z0-9-]+\.)+(?:com|net|org|info|io|co|me|tv|app|dev|ly|gg|link|live|online|shop|site|xyz|[a-z]{2}(?=\/))(?:\/[^\s<>“”"]*)?/giu;

/** Signs that are written in the place of letters. */
const DISGUISES: Readonly<Record<string, string>> = {
  ...{ "0": "o", "1": "i", "3": "e", "4": "a", "5": "s", "7": "t", "@": "a", $: "s", "!": "i", "|": "i" },
};
const segmenter = new Intl.Segmenter(undefined, { granularity: "word" });

/** A text in stretches, with what is not to be shown struck out. All stretches together are the text, letter for letter. */
export function strikeOut(text: string, { hiddenWords, hidesLinks }: Hiding): Piece[] {
  const hidden = hiddenWords.map(readHidden).filter(({ plain }) => plain !== "");
  const links = hidesLinks
    ? [...text.matchAll(LINKS)].map((match) => [match.index, match[0].length] as const)
    : [];
  const pieces: Piece[] = [];
  let at = 0;
  for (const [from, length] of links) {
    pieces.push(...strikeWords(text.slice(at, from), hidden));
    pieces.push({ text: text.slice(from, from + length), struck: "link" });
    at = from + length;
  }
  pieces.push(...strikeWords(text.slice(at), hidden));
  return joined(pieces.filter((piece) => piece.text !== ""));
}

/** What is left to be shown: each stretch that is struck out becomes one "…". */
export const withoutStruck = (pieces: readonly Piece[]): string =>
  pieces
    .map(({ text, struck }) => (struck ? LEFT_OUT : text))
    .join("")
    .replace(/…(?:\s*…)+/g, LEFT_OUT)
    .trim();

interface Hidden {
  readonly plain: string;
  readonly isBeginning: boolean;
}

function readHidden(written: string): Hidden {
  const trimmed = written.trim();
  return { plain: plainOf(trimmed.replace(/\*+$/, "")), isBeginning: trimmed.endsWith("*") };
}

/** Letters of other scripts that look like Latin ones, as they are mixed into Latin words. */
const LOOKALIKES: Readonly<Record<string, string>> = {
  ...{
    а: "a",
    в: "b",
    е: "e",
    к: "k",
    м: "m",
    н: "h",
    о: "o",
    р: "p",
    с: "c",
    т: "t",
    у: "y",
    х: "x",
    і: "i",
    ј: "j",
    ѕ: "s",
  },
  ...{ α: "a", ε: "e", ι: "i", κ: "k", ν: "v", ο: "o", ρ: "p", τ: "t", υ: "u", χ: "x" },
};

/** A word without what it is disguised by: marks on letters, signs for letters, letters that are repeated. */
function plainOf(word: string): string {
  const lettered = /\p{L}/u.test(word)
    ? word.replace(/[013457@$!|]/g, (sign) => DISGUISES[sign] ?? sign)
    : word;
  const latin = /[a-z]/i.test(lettered)
    ? lettered
        .toLowerCase()
        .replace(/[\p{Script=Cyrillic}\p{Script=Greek}]/gu, (letter) => LOOKALIKES[letter] ?? letter)
    : lettered;
  return foldWords(latin)
    .replace(/\s+/g, "")
    .replace(/(.)\1+/gu, "$1");
}

/** A run of letters and of signs that are written for letters, and what is between runs. */
interface Word {
  readonly from: number;
  readonly to: number;
  readonly plain: string;
}

function strikeWords(text: string, hidden: readonly Hidden[]): Piece[] {
  if (hidden.length === 0 || text === "") return [{ text, struck: null }];
  const struck = new Uint8Array(text.length);
  for (const { from, to, plain } of [...wordsOf(text), ...spacedWordsOf(text)])
    if (hidden.some((each) => (each.isBeginning ? plain.startsWith(each.plain) : plain === each.plain)))
      struck.fill(1, from, to);
  const pieces: Piece[] = [];
  for (let at = 0; at < text.length; ) {
    let end = at + 1;
    while (end < text.length && struck[end] === struck[at]) end++;
    pieces.push({ text: text.slice(at, end), struck: struck[at] ? "word" : null });
    at = end;
  }
  return pieces;
}

/** Words parted as their script parts them, and runs between spaces: "l@mp" is one of these alone. */
function wordsOf(text: string): Word[] {
  const words: Word[] = [];
  for (const { segment, index, isWordLike } of segmenter.segment(text))
    if (isWordLike) words.push({ from: index, to: index + segment.length, plain: plainOf(segment) });
  for (const match of text.matchAll(/[\p{L}\p{N}\p{M}\p{Cf}@$!|]+/gu))
    words.push({ from: match.index, to: match.index + match[0].length, plain: plainOf(match[0]) });
  return words;
}

/** Letters with a space or a dot between each: "l a m p". */
function spacedWordsOf(text: string): Word[] {
  return [
    ...text.matchAll(/(?<![\p{L}\p{N}])[\p{L}\p{N}@$!|](?:[\s._*-]+[\p{L}\p{N}@$!|](?![\p{L}\p{N}])){2,}/gu),
  ].map((match) => ({
    from: match.index,
    to: match.index + match[0].length,
    plain: plainOf(match[0].replace(/[\s._*-]+/g, "")),
  }));
}

function joined(pieces: readonly Piece[]): Piece[] {
  const all: Piece[] = [];
  for (const piece of pieces) {
    const last = all.at(-1);
    if (last && last.struck === piece.struck) all[all.length - 1] = { ...last, text: last.text + piece.text };
    else all.push(piece);
  }
  return all;
}
