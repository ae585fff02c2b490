import { t } from "../../language/t.ts";
import { defineFinding } from "../finding.ts";

/** What a countdown is to run to, and nobody can read. */
export const uncountable = defineFinding<{ readonly text: string }>(
  "uncountable",
  "warning",
  ({ text }, { id }) =>
    t`“${id}” counts down to “${text}”, which is neither a time (19:00, 24 Dec 18:00) nor a length (5 min, 25:00). It stands still as it was typed; correct it.`,
);
