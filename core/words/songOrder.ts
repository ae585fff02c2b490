import { findLabel } from "./reader/label.ts";
import type { SongSection } from "./reader/sections.ts";

/** A place in the order of a song: a section, or a step that shows nothing. */
export type OrderItem = { readonly kind: "section"; readonly key: string } | { readonly kind: "blank" };

/** What was typed and names no section, and where it stands in what was typed. */
export interface UnknownToken {
  readonly text: string;
  readonly from: number;
  readonly to: number;
}

export interface SongOrder {
  readonly items: readonly OrderItem[];
  readonly unknown: readonly UnknownToken[];
}

export const ORDER_MAX_ITEMS = 400;
const BLANK = /^(?:-|–|—|_|blank|empty)$/i;
const HYPHEN = /^(?:-|–|—)$/;
const TIMES = /^\(?(?:[x×*](\d)|(\d)[x×])\)?$/i;
const TIMES_WORD: Readonly<Record<string, number>> = { twice: 2, bis: 2, thrice: 3, ter: 3 };
const GLUED_TIMES = /^(.+?)\(?(?:[x×*](\d)|(?<=\D)(\d)[x×])\)?$/i;
/** Names of sections have at most so many words. */
const MOST_WORDS = 4;

interface Token {
  readonly text: string;
  readonly from: number;
}

type Named = readonly Pick<SongSection, "key" | "label">[];

/** The section that a name means: its key, its label, or a word for it in any of the languages. */
function finderOf(sections: Named): (name: string) => string | undefined {
  const byName = new Map<string, string>();
  for (const { key, label } of sections) {
    byName.set(key.toLowerCase(), key);
    byName.set(label.toLowerCase(), key);
  }
  return (name) => {
    const lower = name.toLowerCase().replace(/[.:]$/, "");
    const direct =
      byName.get(lower) ??
      byName.get(`${lower}1`) ??
      (/^[a-z]1$/.test(lower) ? byName.get(lower.slice(0, 1)) : undefined);
    if (direct !== undefined) return direct;
    const label = findLabel(name);
    if (label?.behind !== "" || label.times > 1) return undefined;
    const letters =
      label.letter === "C" ? ["c", "r"] : label.letter === "R" ? ["r", "c"] : [label.letter.toLowerCase()];
    for (const letter of letters) {
      const found =
        byName.get(letter + label.number) ??
        (label.number === ""
          ? byName.get(`${letter}1`)
          : label.number === "1"
            ? byName.get(letter)
            : undefined);
      if (found !== undefined) return found;
    }
    return undefined;
  };
}

/** Words and marks of an order; hyphens part them unless they belong to a name. */
function tokensOf(typed: string, isName: (text: string) => boolean): Token[] {
  return [...typed.matchAll(/[^\s,;/|>→+\n]+/g)].flatMap(({ 0: text, index }): Token[] => {
    if (isName(text) || BLANK.test(text) || !/[-–—]/.test(text)) return [{ text, from: index }];
    return [...text.matchAll(/[^-–—]+/g)].map((piece) => ({ text: piece[0], from: index + piece.index }));
  });
}

/**
 * Reads an order such as "V1 C V2 C B C x2", "verse 1 - chorus - verse 2" or "V1, C, V2/C". Names of sections work as
 * well as their letters, in any case; "x2" sings the one before it twice. "_" is a blank step, and so is a hyphen
 * where hyphens do not part all the others.
 */
export function parseOrder(typed: string, sections: Named): SongOrder {
  const find = finderOf(sections);
  const all = tokensOf(typed, (text) => find(text) !== undefined);
  // "V1 - C - V2": hyphens between all the others part them.
  const runs = runsOf(all);
  const areParting = runs.length > 1 && runs.every((run) => find(run) !== undefined);
  const tokens = areParting ? all.filter(({ text }) => !HYPHEN.test(text)) : all;
  const items: OrderItem[] = [];
  const unknown: UnknownToken[] = [];
  const sing = (key: string, times = 1) => {
    for (let i = 0; i < times; i++) items.push({ kind: "section", key });
  };
  for (let i = 0; i < tokens.length; i++) {
    const token = tokens[i] as Token;
    if (BLANK.test(token.text)) {
      items.push({ kind: "blank" });
      continue;
    }
    const counted = TIMES.exec(token.text);
    const times = counted ? Number(counted[1] ?? counted[2]) : TIMES_WORD[token.text.toLowerCase()];
    const last = items.at(-1);
    if (times !== undefined && last) {
      for (let n = 1; n < times; n++) items.push(last);
      continue;
    }
    let taken = 0;
    for (let words = Math.min(MOST_WORDS, tokens.length - i); words >= 1 && taken === 0; words--) {
      const end = tokens[i + words - 1] as Token;
      const key = find(typed.slice(token.from, end.from + end.text.length).replace(/\s+/g, " "));
      if (key === undefined) continue;
      sing(key);
      taken = words;
    }
    if (taken > 0) {
      i += taken - 1;
      continue;
    }
    const glued = GLUED_TIMES.exec(token.text);
    const gluedKey = glued && find(glued[1] as string);
    if (gluedKey) sing(gluedKey, Math.max(1, Number(glued[2] ?? glued[3])));
    else unknown.push({ text: token.text, from: token.from, to: token.from + token.text.length });
  }
  return { items: items.slice(0, ORDER_MAX_ITEMS), unknown };
}

/** What hyphens part, counts left out: "verse 1 - chorus x2" is "verse 1" and "chorus". */
function runsOf(tokens: readonly Token[]): string[] {
  const runs: string[][] = [[]];
  for (const { text } of tokens) {
    if (HYPHEN.test(text)) runs.push([]);
    else if (!TIMES.test(text)) runs.at(-1)?.push(text);
  }
  return runs.map((run) => run.join(" "));
}

/** The order as it is typed; a blank step so that it can be nothing else. */
export const formatOrder = (items: readonly OrderItem[]): string =>
  items.map((item) => (item.kind === "blank" ? "_" : item.key)).join(" ");

/** The order sung: the typed one where it names anything, else as the text has it. */
export function orderOf(
  typed: string,
  song: { readonly sections: readonly SongSection[]; readonly order: readonly string[] },
): SongOrder {
  const parsed = parseOrder(typed, song.sections);
  if (parsed.items.length > 0) return parsed;
  return { items: song.order.map((key) => ({ kind: "section", key })), unknown: parsed.unknown };
}
