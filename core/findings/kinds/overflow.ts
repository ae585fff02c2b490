import { t } from "../../language/t.ts";
import { defineFinding } from "../finding.ts";

/** Words do not fit their box. */
export const overflow = defineFinding<Record<string, never>>(
  "overflow",
  "warning",
  (_figures, { id }) => t`“${id}” does not fit its box even at its smallest size. Shorten it or divide it.`,
);
