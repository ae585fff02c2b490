import { defineFinding } from "../finding.ts";

/** What a song that is shown should say and does not. */
export const missingCredit = defineFinding<{ readonly what: string; readonly name: string }>(
  "missingCredit",
  "note",
  ({ name }) => `The song does not say ${name}.`,
);
