import { t } from "../language/t.ts";
import { oncePerText } from "../memo/oncePerText.ts";

/** Words that are said twice and meant so: "had had", "that that", and what songs and cries repeat. */
const MAY_DOUBLE = new Set([
  "had",
  "that",
  "is",
  "so",
  "very",
  "no",
  "hey",
  "ha",
  "la",
  "na",
  "oh",
  "yeah",
  "hallelujah",
  "holy",
  "bye",
  "well",
  "there",
  "knock",
  "sie",
  "die",
  "nous",
  "vous",
]);
const DOUBLED = /(?<![\p{L}\p{N}’'-])(\p{L}[\p{L}\p{M}’']+)([ \u00a0\n]+)\1(?![\p{L}\p{N}’'-])/giu;

/** Words that stand twice in a row, and what would be left. */
export const findDoubledWords = oncePerText(
  (text: string): readonly { readonly said: string; readonly once: string }[] =>
    [...text.matchAll(DOUBLED)].flatMap(([said, once = ""]) =>
      MAY_DOUBLE.has(once.toLowerCase()) ? [] : [{ said, once }],
    ),
);

export interface StrayMark {
  /** What it is, as a part of a sentence. */
  readonly mark: string;
  /** The words around it, as they stand. */
  readonly near: string;
  /** The same without it; null: a person has to say. */
  readonly mended: string | null;
}

const PATTERNS: readonly {
  readonly mark: string;
  readonly pattern: RegExp;
  readonly mend: ((match: string) => string) | null;
}[] = [
  // French sets a space before some of these.
  {
    mark: t`a space before a mark`,
    pattern: /\p{L}+ +[,.](?![.\d])/gu,
    mend: (match) => match.replace(/ +/g, ""),
  },
  {
    mark: t`a mark twice`,
    pattern: /\p{L}*(?:,,|;;|::|(?<!\.)\.\.(?!\.))/gu,
    mend: (match) => match.replace(/([,;:.])\1/, "$1"),
  },
  { mark: t`two spaces`, pattern: /\p{L}+ {2,}\p{L}+/gu, mend: (match) => match.replace(/ {2,}/g, " ") },
  {
    mark: t`a question left to oneself`,
    pattern: /\?\?\?+|\bXXX+\b|\bTODO\b|\bTBC\b|\bTBD\b|\blorem ipsum\b/giu,
    mend: null,
  },
  {
    mark: t`what a file could not say`,
    pattern: /\uFFFD|&(?:amp|nbsp|quot|lt|gt|#\d+);|Ã[\u0080-\u00bf]|â€[\u0080-\u00bf™œ]?/gu,
    mend: null,
  },
  { mark: "a tag", pattern: /<\/?[a-z][a-z0-9]*\s*\/?>/giu, mend: null },
];
const PAIRS = [
  ["(", ")"],
  ["[", "]"],
  ["“", "”"],
  ["«", "»"],
] as const;

/** Marks that nobody meant, in the order of the text. */
export const findStrayMarks = oncePerText((text: string): readonly StrayMark[] => {
  const found = PATTERNS.flatMap(({ mark, pattern, mend }) =>
    [...text.matchAll(pattern)].map(([match]) => ({ mark, near: match, mended: mend ? mend(match) : null })),
  );
  for (const [open, close] of PAIRS) {
    const count = (mark: string) => text.split(mark).length - 1;
    // Of quotes that go on over paragraphs each begins anew: one more that opens is usual there.
    if (count(open) === count(close) || (open === "“" && text.includes("\n"))) continue;
    const at = text.indexOf(count(open) > count(close) ? open : close);
    found.push({
      mark: count(open) > count(close) ? t`“${open}” that is not closed` : t`“${close}” that was not opened`,
      near: text.slice(Math.max(0, at - 12), at + 16).replace(/\n/g, " "),
      mended: null,
    });
  }
  return found;
});

/** Straight and curled quotes in one text; null: of one kind, or none. */
export const findMixedQuotes = oncePerText((text: string): string | null => {
  const straight = /(?<!\d)["](?!\d)|(?<=\p{L})'(?=\p{L})/u.exec(text)?.[0];
  const curled = /[“”„«»]|(?<=\p{L})’(?=\p{L})/u.exec(text)?.[0];
  return straight && curled ? t`${straight} and ${curled}` : null;
});
