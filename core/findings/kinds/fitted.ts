import { t } from "../../language/t.ts";
import { defineFinding } from "../finding.ts";

/** The template is made for another shape: it stands in the middle, as large as it goes. */
export const fitted = defineFinding<{ readonly madeForWidthPx: number; readonly madeForHeightPx: number }>(
  "fitted",
  "note",
  ({ madeForWidthPx, madeForHeightPx }) =>
    t`Made for ${madeForWidthPx}×${madeForHeightPx} and fitted into this shape. All of it is shown; a template of this shape would fill the screen.`,
);
