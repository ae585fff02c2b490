import { t } from "../../language/t.ts";
import { defineFinding } from "../finding.ts";

/** A second text of scripture that is not here. */
export const missingText = defineFinding<{ readonly text: string }>(
  "missingText",
  "fault",
  ({ text }) => t`The second text “${text}” is not installed here. Choose another, or none.`,
);
