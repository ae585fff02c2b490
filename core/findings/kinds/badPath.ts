import { defineFinding } from "../finding.ts";

/** Path data that cannot be drawn. */
export const badPath = defineFinding<{ readonly why: string }>(
  "badPath",
  "warning",
  ({ why }, { id }) => `“${id}” is left out: ${why}. The rest of the page is shown.`,
);
