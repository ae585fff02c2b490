import { t } from "../../language/t.ts";
import { defineFinding } from "../finding.ts";

/** A box without width or height. */
export const emptyBox = defineFinding<Record<string, never>>(
  "emptyBox",
  "warning",
  (_figures, { id }) => t`“${id}” has a box without width or height, so it is left out. Give it a size.`,
);
