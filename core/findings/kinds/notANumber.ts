import { t } from "../../language/t.ts";
import { defineFinding } from "../finding.ts";

/** A figure that is none. */
export const notANumber = defineFinding<{ readonly text: string }>(
  "notANumber",
  "warning",
  ({ text }, { id }) => t`“${id}” wants a number and has “${text}”. It is shown as it was typed; correct it.`,
);
