import { t } from "../../language/t.ts";
import { defineFinding } from "../finding.ts";

/** A text is longer than is set at all. */
export const tooLongText = defineFinding<{ readonly characters: number }>(
  "tooLongText",
  "warning",
  ({ characters }, { id }) => t`“${id}” has ${characters} characters; the first 6,000 are shown. Divide it.`,
);
