import { t } from "../../language/t.ts";
import { defineFinding } from "../finding.ts";

/** Words are as small as they may be. */
export const smallestSize = defineFinding<{ readonly sizePx: number }>(
  "smallestSize",
  "note",
  ({ sizePx }, { id }) =>
    t`“${id}” is at its smallest size (${sizePx} px). The words are all there; fewer would be larger.`,
);
