import { t } from "../../language/t.ts";
import { defineFinding } from "../finding.ts";

/** A picture or clip is not here. */
export const missingMedia = defineFinding<{ readonly name: string }>(
  "missingMedia",
  "warning",
  ({ name }, { id }) =>
    t`“${id}” asks for a picture or clip that is not here (${name}). The rest of the page is shown; choose another.`,
);
