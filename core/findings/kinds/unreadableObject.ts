import { t } from "../../language/t.ts";
import { defineFinding } from "../finding.ts";

/** An object of a template that this version cannot read. */
export const unreadableObject = defineFinding<{ readonly why: string }>(
  "unreadableObject",
  "warning",
  ({ why }, { id }) => t`“${id}” cannot be read (${why}). It is left out; the rest of the page is shown.`,
);
