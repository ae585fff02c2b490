import LineBreaker from "linebreak";

export interface BreakOpportunity {
  /** Where the next line would begin, in UTF-16 units. */
  readonly at: number;
  readonly mandatory: boolean;
}

/** Line break opportunities by UAX #14, in order; the last one is the end of the text. */
export function findBreaks(text: string): BreakOpportunity[] {
  const breaker = new LineBreaker(text);
  const found: BreakOpportunity[] = [];
  for (let next = breaker.nextBreak(); next; next = breaker.nextBreak())
    found.push({ at: next.position, mandatory: next.required === true });
  return found;
}
