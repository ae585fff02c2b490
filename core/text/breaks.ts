import LineBreaker from "linebreak";

export interface BreakOpportunity {
  /** Where the next line would begin, in UTF-16 units. */
  readonly at: number;
  readonly mandatory: boolean;
}

/** Scripts that put no space between words and break only between them: UAX #14 leaves them to a dictionary. */
const NEEDS_DICTIONARY = /[\p{Script=Thai}\p{Script=Lao}\p{Script=Khmer}\p{Script=Myanmar}]+/gu;

let segmenter: Intl.Segmenter | undefined;

/** Where words begin within a stretch of such a script, but for the first. */
function wordStarts(stretch: string): number[] {
  segmenter ??= new Intl.Segmenter("th", { granularity: "word" });
  return [...segmenter.segment(stretch)].map(({ index }) => index).slice(1);
}

/** Line break opportunities by UAX #14, in order, and between words where a script has no spaces; the last is the end. */
export function findBreaks(text: string): BreakOpportunity[] {
  const breaker = new LineBreaker(text);
  const found: BreakOpportunity[] = [];
  for (let next = breaker.nextBreak(); next; next = breaker.nextBreak())
    found.push({ at: next.position, mandatory: next.required === true });
  const between: BreakOpportunity[] = [];
  for (const { 0: stretch, index } of text.matchAll(NEEDS_DICTIONARY))
    for (const at of wordStarts(stretch)) between.push({ at: index + at, mandatory: false });
  if (between.length === 0) return found;
  const known = new Set(found.map(({ at }) => at));
  return [...found, ...between.filter(({ at }) => !known.has(at))].sort((a, b) => a.at - b.at);
}
