/**
 * Source: WCAG 2.2, success criteria 1.4.6 (7 to 1), 1.4.3 (4.5 to 1; 3 to 1 for words of 24 px and more, as screens show them)
 * and 1.4.11 (3 to 1 for marks).
 */
const CONTRAST = { best: 7, enough: 4.5, least: 3 } as const;

export type Legibility = "best" | "enough" | "large" | "little";

/** @param ratio 1 to 21 @param isMark a mark, which needs less than words */
export function legibilityOf(ratio: number, isMark: boolean): Legibility {
  if (ratio >= CONTRAST.best) return "best";
  if (ratio >= CONTRAST.enough || (isMark && ratio >= CONTRAST.least)) return "enough";
  return ratio >= CONTRAST.least ? "large" : "little";
}
