/** What is seen at 20/20 from the farthest seat, for decisions made on it (from memory: ANSI/AVIXA V202.01, factor 200). */
const ACUITY_FACTOR = 200;
/** Height of a capital in ems, of the faces that ship: about 0.7. */
const CAPITAL_EM = 0.7;

/**
 * The smallest letters that the farthest seat can read.
 * Source: ANSI/AVIXA V202.01, basic decision making, from memory: the height of a letter is at least the distance ÷ 200.
 * @param farthestM distance of the farthest seat, m
 * @param pictureHeightM height of the picture, m
 * @param heightPx height of the picture, px
 * @returns the height of a capital and the type size that gives it, px of the picture
 */
export function smallestReadable(
  farthestM: number,
  pictureHeightM: number,
  heightPx: number,
  /** The distance over the height of a letter. */
  factor = ACUITY_FACTOR,
): { readonly capitalPx: number; readonly sizePx: number } {
  const capitalPx = (farthestM / factor / pictureHeightM) * heightPx;
  return { capitalPx, sizePx: capitalPx / CAPITAL_EM };
}
