import { t } from "../../language/t.ts";
import { defineFinding } from "../finding.ts";

/** A field that a page cannot do without. */
export const emptyField = defineFinding<{ readonly label: string }>(
  "emptyField",
  "fault",
  ({ label }) => t`The ${label} is empty. Fill it in and the page can be taken.`,
);
