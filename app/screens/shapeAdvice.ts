import { t } from "../../core/language/t.ts";
import { shapesApart } from "../../core/scene/shapes.ts";
import { canvasOf, type Output } from "../../core/venue/plan.ts";

/** Shapes further apart than this are seen to differ. */
const SAME_SHAPE = 0.02;

interface Canvas {
  readonly widthPx: number;
  readonly heightPx: number;
}

/**
 * What becomes of pages on a screen that no template is made for, and what to do about it; undefined where one is.
 * @param made the sizes that templates are made for
 */
export function shapeAdvice(output: Output, made: readonly Canvas[]): string | undefined {
  const canvas = canvasOf(output);
  const isMade = (shape: Canvas) => made.some((each) => shapesApart(each, shape) <= SAME_SHAPE);
  if (isMade(canvas)) return undefined;
  const size = `${canvas.widthPx}×${canvas.heightPx}`;
  const words =
    output.region && isMade(output)
      ? t`pages stand whole on each of its screens, off the seam`
      : t`words stand in the middle`;
  return t`No template is made for ${size}: grounds and pictures fill it, ${words}. Import templates of its shape in Design to use all of it.`;
}
