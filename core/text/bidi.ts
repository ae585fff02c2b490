import bidiFactory from "bidi-js";

const bidi = bidiFactory();

/** Scripts before Hebrew have no right-to-left letter, and none of the controls: every level is the paragraph's. */
const ONLY_LEFT_TO_RIGHT = /^[\0-\u058f]*$/;

/** Embedding levels by UAX #9, one per UTF-16 unit; odd is right to left. */
export interface BidiLevels {
  readonly levels: Uint8Array;
  /** Level of the paragraph: 0 or 1. */
  readonly base: number;
}

/**
 * @param text one paragraph, without line separators
 * @param direction of the paragraph; "auto" finds it from the first strong character
 */
export function resolveBidi(text: string, direction: "ltr" | "rtl" | "auto" = "auto"): BidiLevels {
  if (direction !== "rtl" && ONLY_LEFT_TO_RIGHT.test(text))
    return { levels: new Uint8Array(text.length), base: 0 };
  const { levels, paragraphs } = bidi.getEmbeddingLevels(text, direction);
  return { levels, base: paragraphs[0]?.level ?? 0 };
}

/**
 * The runs of one line in visual order (rules L1 and L2 of UAX #9): white space at the end of a line goes to
 * the paragraph's level, then everything from the highest level down to the lowest odd one is reversed.
 */
export function orderRuns<Run extends { readonly level: number }>(runs: readonly Run[]): Run[] {
  const ordered = [...runs];
  const levels = ordered.map((run) => run.level);
  const highest = Math.max(0, ...levels);
  for (let level = highest; level >= 1; level--) {
    let i = 0;
    while (i < ordered.length) {
      if ((ordered[i] as Run).level < level) {
        i++;
        continue;
      }
      let j = i;
      while (j < ordered.length && (ordered[j] as Run).level >= level) j++;
      ordered.splice(i, j - i, ...ordered.slice(i, j).reverse());
      i = j;
    }
  }
  return ordered;
}
