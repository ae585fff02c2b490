import { wcagContrast } from "culori";
import type { HouseStyle } from "../../scene/houseStyle.ts";

/** What lies on what, in every template that ships. Marks need less than words. */
const PAIRS = [
  { over: "onPanel", under: "panel", isMark: false },
  { over: "quietPanel", under: "panel", isMark: false },
  { over: "panelAccent", under: "panel", isMark: true },
  { over: "words", under: "ground", isMark: false },
  { over: "words", under: "rise", isMark: false },
  { over: "quiet", under: "ground", isMark: false },
  { over: "onAccent", under: "accent", isMark: false },
  { over: "accent", under: "ground", isMark: true },
] as const;

/**
 * Source: WCAG 2.2, success criteria 1.4.6 (7 to 1), 1.4.3 (4.5 to 1; 3 to 1 for words of 24 px and more, as screens show them)
 * and 1.4.11 (3 to 1 for marks).
 */
const CONTRAST = { best: 7, enough: 4.5, least: 3 } as const;

export type Legibility = "best" | "enough" | "large" | "little";

export interface ContrastPair {
  /** Names of colours of the style. */
  readonly over: string;
  readonly under: string;
  /** 1 to 21. */
  readonly ratio: number;
  readonly legibility: Legibility;
}

function legibilityOf(ratio: number, isMark: boolean): Legibility {
  if (ratio >= CONTRAST.best) return "best";
  if (ratio >= CONTRAST.enough || (isMark && ratio >= CONTRAST.least)) return "enough";
  return ratio >= CONTRAST.least ? "large" : "little";
}

/** How well the words of a style can be read on what lies behind them. */
export const contrastsOf = ({ colors }: HouseStyle): readonly ContrastPair[] =>
  PAIRS.flatMap(({ over, under, isMark }) => {
    const [a, b] = [colors[over], colors[under]];
    if (a === undefined || b === undefined) return [];
    const ratio = wcagContrast(a, b);
    return [{ over, under, ratio, legibility: legibilityOf(ratio, isMark) }];
  });
