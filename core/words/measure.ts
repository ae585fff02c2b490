import type { PreparedParagraph } from "../text/prepare.ts";
import type { FlowUnit } from "./flow.ts";

/** A text box at its smallest readable size. */
export interface TextBox {
  readonly widthEm: number;
  readonly maxLines: number;
}

/** Segment widths of each line of each unit, shaped once: enough to count lines for any stretch of units. */
export type MeasuredUnits = readonly {
  readonly join: FlowUnit["join"];
  readonly lines: readonly PreparedParagraph["segments"][];
}[];

/** A word space in em, for joins whose space was not shaped. */
const SPACE_EM = 0.25;

/**
 * How full a slide with units [from, to) is: lines needed over lines there are; undefined when it does not fit.
 */
export function fillOfBox(
  measured: MeasuredUnits,
  box: TextBox,
  from: number,
  to: number,
): number | undefined {
  let lines = 1;
  let used = 0;
  let pending = 0;
  const breakLine = () => {
    lines++;
    used = 0;
    pending = 0;
  };
  for (let i = from; i < to; i++) {
    const unit = measured[i] as MeasuredUnits[number];
    if (i > from) {
      if (unit.join === "line") breakLine();
      else if (unit.join === "space") pending = SPACE_EM;
    }
    for (const [line, segments] of unit.lines.entries()) {
      if (line > 0) breakLine();
      for (const { widthEm, spaceEm } of segments) {
        if (used > 0 && used + pending + widthEm > box.widthEm) {
          lines++;
          used = widthEm;
        } else used += pending + widthEm;
        if (used > box.widthEm) return undefined;
        pending = spaceEm;
      }
    }
  }
  return lines <= box.maxLines ? lines / box.maxLines : undefined;
}
