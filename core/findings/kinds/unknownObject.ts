import { t } from "../../language/t.ts";
import { defineFinding } from "../finding.ts";

/** An object refers to another that is not in its template. */
export const unknownObject = defineFinding<{ readonly object: string }>(
  "unknownObject",
  "warning",
  ({ object }, { id }) =>
    t`“${id}” refers to “${object}”, which is not in the template. It counts as not drawn; name another object.`,
);
