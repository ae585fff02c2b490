import { t } from "../../language/t.ts";
import { defineFinding } from "../finding.ts";

/** A template shows a field that its pages do not have. */
export const unknownField = defineFinding<{ readonly field: string }>(
  "unknownField",
  "warning",
  ({ field }, { id }) =>
    t`“${id}” shows the field “${field}”, which pages of this kind do not have. It stays empty; choose another field.`,
);
