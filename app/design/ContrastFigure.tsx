import type { Legibility } from "../../core/color/legibility.ts";
import { t } from "../../core/language/t.ts";

const LEGIBLE: Readonly<Record<Legibility, string>> = {
  best: t`very well read`,
  enough: t`well read`,
  large: t`for large words only`,
  little: t`hard to read`,
};

/** How well words are read against something: the figure, and what it means. */
export function ContrastFigure({
  on,
  ratio,
  legibility,
}: {
  on: string;
  ratio: number;
  legibility: Legibility;
}) {
  return (
    <span
      className={`text-[14px] ${legibility === "little" ? "font-semibold text-attention" : "text-second"}`}
    >
      {on} <span className="font-mono">{(Math.floor(ratio * 10) / 10).toFixed(1)} : 1</span>,{" "}
      {LEGIBLE[legibility]}
    </span>
  );
}
