import { t } from "../../language/t.ts";
import { defineFinding } from "../finding.ts";

/** A clip where a picture is wanted, or the other way about. */
export const wrongMedia = defineFinding<{ readonly name: string }>(
  "wrongMedia",
  "warning",
  ({ name }, { id }) =>
    t`“${id}” cannot show “${name}”: it is of the other kind. The rest of the page is shown; choose another.`,
);
