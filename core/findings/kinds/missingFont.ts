import { t } from "../../language/t.ts";
import { defineFinding } from "../finding.ts";

/** A font is not here. */
export const missingFont = defineFinding<{ readonly fontId: string }>(
  "missingFont",
  "warning",
  ({ fontId }, { id }) =>
    t`“${id}” asks for the font “${fontId}”, which is not here. Another one is used; add the font or choose one.`,
);
