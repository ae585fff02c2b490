import { t } from "../../language/t.ts";
import { defineFinding } from "../finding.ts";

/** More rows than there is room for. */
export const droppedRows = defineFinding<{ readonly shown: number; readonly rows: number }>(
  "droppedRows",
  "warning",
  ({ shown, rows }, { id }) =>
    t`“${id}” has room for ${shown} of its ${rows} rows. The first ${shown} are shown; take rows out, or make them lower.`,
);
