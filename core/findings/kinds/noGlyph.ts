import { t } from "../../language/t.ts";
import { defineFinding } from "../finding.ts";

/** No font has these letters. */
export const noGlyph = defineFinding<{ readonly letters: string }>(
  "noGlyph",
  "warning",
  ({ letters }) =>
    t`No font here has the letters ${letters}; empty boxes stand in their place. Add a font that has them, or write them otherwise.`,
);
