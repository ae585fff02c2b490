import { findBreaks } from "../text/breaks.ts";
import type { BreakRank, FlowUnit } from "./flow.ts";
import { isUnspaced } from "./searchWords.ts";

/** Closing quotes and brackets go with what they close. */
const SENTENCE_END = /[.!?…。！？．।॥။።][”’"')\]」』）】]*$/;
const CLAUSE_END = /[,;:—–、，；：،؛፣][”’"')\]」』）】]*$/;
/** In scripts without spaces a mark ends a clause with nothing after it. */
const UNSPACED_CLAUSE = /[^。！？、，；：]*[。！？、，；：]+[”’」』）】]*|[^。！？、，；：]+$/gu;

/** How good the end of a piece of text is for a break, going by its punctuation. */
export function rankEnd(text: string): BreakRank {
  if (SENTENCE_END.test(text)) return "sentence";
  if (CLAUSE_END.test(text)) return "clause";
  return "line";
}

/** Clauses shorter than this stay with their neighbour: "Yes," alone is not a slide. */
const SHORTEST_CLAUSE = 16;

/**
 * One verse as units. Typed lines (poetry) are kept as lines; prose is parted at sentences and clauses.
 * @param text the verse; line feeds part lines of poetry
 * @param keepsLines whether lines of poetry stay lines, or run on like prose
 */
export function verseUnits(
  text: string,
  verse: { readonly chapter: number; readonly verse: number },
  keepsLines = true,
): FlowUnit[] {
  const lines = (keepsLines ? text : text.replaceAll("\n", " ")).split("\n").map((line) => line.trim());
  const poetry = lines.length > 1;
  const units: FlowUnit[] = [];
  for (const [index, line] of lines.entries()) {
    if (line === "") continue;
    const pieces = poetry ? [line] : intoClauses(line);
    for (const [i, piece] of pieces.entries())
      units.push({
        text: piece,
        join: poetry && i === 0 && index >= 0 ? "line" : joins(pieces[i - 1]),
        mustBegin: false,
        endRank: rankEnd(piece),
        verse,
        second: null,
      });
  }
  const last = units.at(-1);
  if (last) units[units.length - 1] = { ...last, endRank: "verse" };
  return units;
}

/** What stands between a clause and the one after it. */
const joins = (before: string | undefined): FlowUnit["join"] =>
  before !== undefined &&
  isUnspaced(before.at(-2) ?? "") &&
  !/[\p{Script=Thai}\p{Script=Lao}\p{Script=Khmer}]/u.test(before)
    ? "none"
    : "space";

function intoClauses(text: string): string[] {
  if (!/\s/.test(text.trim()) && isUnspaced(text)) return gather(text.match(UNSPACED_CLAUSE) ?? [text]);
  const words = text.split(/\s+/).filter((word) => word !== "");
  const clauses: string[] = [];
  let open = "";
  for (const word of words) {
    open = open === "" ? word : `${open} ${word}`;
    const ends = SENTENCE_END.test(word) || CLAUSE_END.test(word);
    if (ends && open.length >= SHORTEST_CLAUSE) {
      clauses.push(open);
      open = "";
    }
  }
  if (open !== "") {
    const last = clauses.at(-1);
    if (last !== undefined && open.length < SHORTEST_CLAUSE) clauses[clauses.length - 1] = `${last} ${open}`;
    else clauses.push(open);
  }
  return clauses;
}

/** Clauses as long as a slide wants them at least: Chinese and Japanese say in six letters what others say in sixteen. */
function gather(pieces: readonly string[]): string[] {
  const clauses: string[] = [];
  for (const piece of pieces) {
    const last = clauses.at(-1);
    if (last !== undefined && last.length < SHORTEST_CLAUSE / 2.5) clauses[clauses.length - 1] = last + piece;
    else clauses.push(piece);
  }
  return clauses;
}

/** A cut in the middle of a thought is worth this much of a text's length away from its middle. */
const SENSE_WORTH = 0.22;

/**
 * Where to part a text in two: the space near its middle, rather after a clause or a sentence, never leaving one
 * word alone where there are more than three.
 * @returns where the second half begins, just after a space; undefined when it is one word
 */
export function findHalf(text: string): number | undefined {
  const middle = text.length / 2;
  const words = text.trim().split(/\s+/).length;
  let best: number | undefined;
  let least = Number.POSITIVE_INFINITY;
  let wordsBefore = 0;
  for (const match of placesIn(text)) {
    if (match.index === 0 || match.index + match[0].length >= text.length) continue;
    wordsBefore++;
    const rank = rankEnd(text.slice(0, match.index));
    const sense = rank === "sentence" ? 1.4 : rank === "clause" ? 1 : 0;
    const lonely = words > 3 && (wordsBefore === 1 || wordsBefore === words - 1) ? 1 : 0;
    const cost = Math.abs(match.index - middle) / text.length - sense * SENSE_WORTH + lonely;
    if (cost < least) {
      least = cost;
      best = match.index + match[0].length;
    }
  }
  return best;
}

/** Where a text may be parted: at its spaces, or where a line of it may end when it has none. */
function placesIn(text: string): readonly { readonly index: number; readonly 0: string }[] {
  const spaces = [...text.trim().matchAll(/\s+/g)];
  if (spaces.length > 0 || !isUnspaced(text)) return [...text.matchAll(/\s+/g)];
  return findBreaks(text)
    .slice(0, -1)
    .map(({ at }) => ({ index: at, 0: "" }));
}

/** The first or the second half of a verse, as "4a" and "4b" mean it. A verse of one word is both. */
export function halfOf(text: string, part: "a" | "b"): string {
  const at = findHalf(text);
  if (at === undefined) return text;
  return part === "a" ? text.slice(0, at).trimEnd() : text.slice(at);
}

/** Parts a unit that is too long for its box, its second language with it; undefined when it is one word. */
export function halveUnit(unit: FlowUnit): [FlowUnit, FlowUnit] | undefined {
  const at = findHalf(unit.text);
  if (at === undefined) return undefined;
  const secondAt = unit.second === null ? undefined : findHalf(unit.second);
  const atLineEnd = /\n\s*$/.test(unit.text.slice(0, at));
  return [
    {
      ...unit,
      text: unit.text.slice(0, at).trimEnd(),
      endRank: rankEnd(unit.text.slice(0, at).trimEnd()) === "line" ? "word" : "clause",
      second: unit.second === null ? null : unit.second.slice(0, secondAt).trimEnd(),
    },
    {
      ...unit,
      text: unit.text.slice(at),
      join: atLineEnd ? "line" : /\s/.test(unit.text[at - 1] ?? "") ? "space" : "none",
      mustBegin: false,
      second:
        secondAt === undefined ? (unit.second === null ? null : "") : (unit.second as string).slice(secondAt),
    },
  ];
}
