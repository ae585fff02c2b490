import { wcagContrast } from "culori";
import { type Legibility, legibilityOf } from "../../color/legibility.ts";
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

export interface ContrastPair {
  /** Names of colours of the style. */
  readonly over: string;
  readonly under: string;
  /** 1 to 21. */
  readonly ratio: number;
  readonly legibility: Legibility;
}

/** How well the words of a style can be read on what lies behind them. */
export const contrastsOf = ({ colors }: HouseStyle): readonly ContrastPair[] =>
  PAIRS.flatMap(({ over, under, isMark }) => {
    const [a, b] = [colors[over], colors[under]];
    if (a === undefined || b === undefined) return [];
    const ratio = wcagContrast(a, b);
    return [{ over, under, ratio, legibility: legibilityOf(ratio, isMark) }];
  });
