import type { BreakRank, FlowUnit } from "./flow.ts";

/** Closing quotes and brackets go with what they close. */
const SENTENCE_END = /[.!?…][”’"')\]]*$/;
const CLAUSE_END = /[,;:—–][”’"')\]]*$/;

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
 */
export function verseUnits(text: string, verse: { chapter: number; verse: number }): FlowUnit[] {
  const lines = text.split("\n").map((line) => line.trim());
  const poetry = lines.length > 1;
  const units: FlowUnit[] = [];
  for (const [index, line] of lines.entries()) {
    if (line === "") continue;
    const pieces = poetry ? [line] : intoClauses(line);
    for (const [i, piece] of pieces.entries())
      units.push({
        text: piece,
        join: poetry && i === 0 && index >= 0 ? "line" : "space",
        mustBegin: false,
        endRank: rankEnd(piece),
        verse,
      });
  }
  const last = units.at(-1);
  if (last) units[units.length - 1] = { ...last, endRank: "verse" };
  return units;
}

function intoClauses(text: string): string[] {
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

/** Parts a unit that is too long for its box at the space nearest to the middle; undefined when it is one word. */
export function halveUnit(unit: FlowUnit): [FlowUnit, FlowUnit] | undefined {
  const middle = unit.text.length / 2;
  let best = -1;
  for (let at = unit.text.indexOf(" "); at >= 0; at = unit.text.indexOf(" ", at + 1))
    if (best < 0 || Math.abs(at - middle) < Math.abs(best - middle)) best = at;
  if (best < 0) return undefined;
  return [
    { ...unit, text: unit.text.slice(0, best), endRank: "word" },
    { ...unit, text: unit.text.slice(best + 1), join: "space", mustBegin: false },
  ];
}
