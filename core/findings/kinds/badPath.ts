import { t } from "../../language/t.ts";
import { defineFinding } from "../finding.ts";

/** Path data that cannot be drawn. */
export const badPath = defineFinding<{ readonly why: string }>(
  "badPath",
  "warning",
  ({ why }, { id }) => t`“${id}” is left out: ${why}. The rest of the page is shown.`,
);
