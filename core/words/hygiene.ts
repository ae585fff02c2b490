import type { Finding } from "../findings/finding.ts";
import { cleaned } from "../findings/kinds/cleaned.ts";
import { t } from "../language/t.ts";
import { isChordLine } from "./chords.ts";
import { splitLines } from "./cleanLines.ts";
import { findLoneLabel } from "./reader/label.ts";

/** What cleaning a pasted text did, for telling it. */
export const CLEANINGS = ["invisible", "spaces", "quotes", "dashes", "capitals", "chords"] as const;
export type Cleaning = (typeof CLEANINGS)[number];

export interface Cleaned {
  readonly text: string;
  /** What was done, and how many times each; only what was done. */
  readonly done: readonly Finding[];
}

const INVISIBLE = /[\u200b\u2060\ufeff\u00ad\ufffe\uffff]|(?!\t)\p{Cc}/gu;
const OPENERS = /[\s([{—–-]/;

/**
 * Cleans a pasted text: invisible characters, tabs and stray spaces, straight quotes, typed dashes, lines in
 * capitals, and lines of chords. Words are never changed otherwise; the text as it was pasted is the caller's to
 * keep.
 * @param keep what is left alone, such as tabs and chords where they mean something
 */
export function cleanPasted(text: string, keep: readonly Cleaning[] = []): Cleaned {
  const counts = new Map<Cleaning, number>();
  const count = (cleaning: Cleaning, times = 1) =>
    times > 0 && counts.set(cleaning, (counts.get(cleaning) ?? 0) + times);
  const does = (cleaning: Cleaning) => !keep.includes(cleaning);
  let lines = splitLines(text);
  if (does("chords")) {
    const without = lines.filter((line) => !isChordLine(line));
    count("chords", lines.length - without.length);
    lines = without;
  }
  if (does("invisible"))
    lines = lines.map((line) =>
      line.replace(INVISIBLE, () => {
        count("invisible");
        return "";
      }),
    );
  if (does("spaces"))
    lines = lines.map((line) => {
      const tidy = line
        .replace(/[\t\u00a0\u2000-\u200a\u202f\u3000]/g, " ")
        .replace(/ {2,}/g, " ")
        .replace(/ +([,;:.!?])(?=\s|$)/g, (whole, mark: string, _at: number, all: string) =>
          // French sets a space before these marks.
          /[;:!?]/.test(mark) && /[àâçèéêëîïôùûœ]/i.test(all) ? whole : mark,
        )
        .trim();
      count("spaces", Number(tidy !== line));
      return tidy;
    });
  if (does("capitals") && isShouted(lines))
    lines = lines.map((line) => {
      if (!/\p{Lu}{2,}/u.test(line) || findLoneLabel(line)) return line;
      count("capitals");
      return sentenceCase(line);
    });
  if (does("dashes"))
    lines = lines.map((line) =>
      line
        .replace(/(?<=\S) ?--+ ?(?=\S)/g, () => {
          count("dashes");
          return " – ";
        })
        .replace(/(?<=\S) - (?=\S)/g, () => {
          count("dashes");
          return " – ";
        })
        .replace(/(?<=\S)--+$/g, () => {
          count("dashes");
          return " –";
        })
        .replace(/\.{3}/g, () => {
          count("dashes");
          return "…";
        }),
    );
  if (does("quotes")) lines = lines.map((line) => smartenQuotes(line, () => count("quotes")));
  return {
    text: lines.join("\n"),
    done: CLEANINGS.flatMap((cleaning) => {
      const times = counts.get(cleaning);
      if (!times) return [];
      const name = NAMES[cleaning][times === 1 ? 0 : 1];
      return [cleaned({ kind: "text", id: "" }, { what: cleaning, count: times, name })];
    }),
  };
}

/** Straight quotes to curled ones, by what stands before them; feet and inches after figures stay. */
function smartenQuotes(line: string, onChange: () => void): string {
  return line.replace(/["'`´]/g, (mark, at: number) => {
    const before = line[at - 1] ?? " ";
    if ((mark === '"' || mark === "'") && /\d/.test(before) && !/\p{L}/u.test(line[at + 1] ?? " ")) {
      const opened = line.slice(0, at).split(mark).length - 1;
      if (opened % 2 === 0) return mark;
    }
    onChange();
    if (mark === '"') return OPENERS.test(before) ? "“" : "”";
    // ’tis, ’twas, ’cause, ’round, ’n’: what is left out is an apostrophe.
    if (/^['`´](?:tis|twas|cause|round|til|em|n)\b/i.test(line.slice(at))) return "’";
    return OPENERS.test(before) ? "‘" : "’";
  });
}

/** Whether a text is written in capitals: nearly all of its letters, over more than a few words. */
function isShouted(lines: readonly string[]): boolean {
  const letters = lines
    .filter((line) => !findLoneLabel(line))
    .join("")
    .replace(/[^\p{L}]/gu, "");
  if (letters.length < 12) return false;
  const upper = letters.replace(/[^\p{Lu}]/gu, "").length;
  const lower = letters.replace(/[^\p{Ll}]/gu, "").length;
  return upper > 0 && lower <= upper * 0.08;
}

function sentenceCase(line: string): string {
  const lowered = line.toLowerCase().replace(/\bi\b(?=['’\s,.;:!?]|$)/g, "I");
  return lowered.replace(
    /(^[^\p{L}]*|[.!?]\s+)(\p{L})/gu,
    (_, before: string, letter: string) => before + letter.toUpperCase(),
  );
}

const NAMES: Readonly<Record<Cleaning, readonly [one: string, many: string]>> = {
  invisible: [t`invisible character`, t`invisible characters`],
  spaces: [t`line with stray spaces`, t`lines with stray spaces`],
  quotes: [t`straight quote`, t`straight quotes`],
  dashes: [t`typed dash`, t`typed dashes`],
  capitals: [t`line in capitals`, t`lines in capitals`],
  chords: [t`line of chords`, t`lines of chords`],
};

/** "Cleaned: 4 straight quotes, 2 lines of chords" */
export const describeCleaning = ({ done }: Cleaned): string =>
  t`Cleaned: ${done.map(({ sentence }) => sentence).join(", ")}`;
