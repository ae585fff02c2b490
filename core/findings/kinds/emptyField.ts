import { defineFinding } from "../finding.ts";

/** A field that a page cannot do without. */
export const emptyField = defineFinding<{ readonly label: string }>(
  "emptyField",
  "fault",
  ({ label }) => `The ${label} is empty. Fill it in and the page can be taken.`,
);
