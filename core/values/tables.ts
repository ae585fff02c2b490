/** Tables of values that are about pages in general, beside those of the pages themselves. */

/** Cue → since when its pages stand still, whatever their feeds say; server time as text. */
export const FROZEN_TABLE = "frozen";

/** Rows of a feed that were shown: the name of each row. */
export const usedTable = (feedId: string): string => `used/${feedId}`;
