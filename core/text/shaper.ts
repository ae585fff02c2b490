/** One glyph of a shaped run. All lengths are in em (multiply by the size in px). */
export interface ShapedGlyph {
  readonly id: number;
  /** Index of the first UTF-16 unit of the cluster, counted in the text given to `shape`. */
  readonly cluster: number;
  readonly advanceEm: number;
  readonly offsetXEm: number;
  /** Downwards, as everywhere in pictures. */
  readonly offsetYEm: number;
}

export type Direction = "ltr" | "rtl";

/** Vertical measures of a font in em; descent is positive below the baseline. */
export interface FontMetrics {
  readonly ascentEm: number;
  readonly descentEm: number;
}

/** A glyph's outline in em, y down, origin on the baseline: [command, ...coordinates]. */
export type OutlineCommand = readonly ["M" | "L" | "Q" | "C" | "Z", ...number[]];

/**
 * The one place where glyphs come from. The same implementation, over the same font files, serves
 * browser, worker and server, so that a width measured anywhere holds everywhere.
 */
export interface Shaper {
  /** Shapes text[start, end) in visual order (left to right), with the rest of the text as context. */
  shape(
    fontId: string,
    text: string,
    start: number,
    end: number,
    direction: Direction,
    script: string,
    /** OpenType features to switch on, such as "tnum" for digits of one width. */
    features?: readonly string[],
  ): ShapedGlyph[];
  hasFont(fontId: string): boolean;
  /** Takes in a font file that came later. @throws when it is not one */
  addFont(fontId: string, bytes: Uint8Array): void;
  metrics(fontId: string): FontMetrics;
  hasGlyph(fontId: string, codePoint: number): boolean;
  outline(fontId: string, glyphId: number): readonly OutlineCommand[];
}
