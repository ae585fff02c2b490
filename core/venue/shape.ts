import { shapesApart } from "../scene/shapes.ts";

interface Size {
  readonly widthPx: number;
  readonly heightPx: number;
}

/** An outfit stands in for another only on screens that are nearly of its shape: within the square root of two. */
const NEAR = Math.log(Math.SQRT2);

/**
 * The outfit to wear on a screen of a shape: the one asked for, or one of those that stand in for it if its template comes
 * nearer and is near. Of equally near ones the first.
 * @param canvasOf the size an outfit's template was made for; undefined where it shows nothing
 */
export function outfitForShape(
  outfitId: string,
  variants: readonly string[],
  screen: Size,
  canvasOf: (outfitId: string) => Size | undefined,
): string {
  const own = canvasOf(outfitId);
  let nearest = outfitId;
  let least = own ? shapesApart(screen, own) : Number.POSITIVE_INFINITY;
  for (const id of variants) {
    const canvas = canvasOf(id);
    const off = canvas ? shapesApart(screen, canvas) : Number.POSITIVE_INFINITY;
    if (off >= least - 0.01 || off > NEAR) continue;
    least = off;
    nearest = id;
  }
  return nearest;
}
