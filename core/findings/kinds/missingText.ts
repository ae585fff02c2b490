import { defineFinding } from "../finding.ts";

/** A second text of scripture that is not here. */
export const missingText = defineFinding<{ readonly text: string }>(
  "missingText",
  "fault",
  ({ text }) => `The second text “${text}” is not installed here. Choose another, or none.`,
);
