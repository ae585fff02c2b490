import { t } from "../../language/t.ts";
import { defineFinding } from "../finding.ts";

/** A format for a field in words that there is not. */
export const unknownFormat = defineFinding<{ readonly format: string; readonly formats: string }>(
  "unknownFormat",
  "warning",
  ({ format, formats }, { id }) =>
    t`“${id}” writes a field as “${format}”, which is no format. The field is shown as it was typed; the formats are ${formats}.`,
);
