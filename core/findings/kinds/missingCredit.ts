import { t } from "../../language/t.ts";
import { defineFinding } from "../finding.ts";

/** What a song that is shown should say and does not. */
export const missingCredit = defineFinding<{ readonly what: string; readonly name: string }>(
  "missingCredit",
  "note",
  ({ name }) => t`The song does not say ${name}.`,
);
