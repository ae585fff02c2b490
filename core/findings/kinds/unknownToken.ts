import { t } from "../../language/t.ts";
import { defineFinding } from "../finding.ts";

/** A template names something that its house style does not have. */
export const unknownToken = defineFinding<{
  readonly what: "colour" | "measure" | "shadow" | "typeface";
  readonly name: string;
}>(
  "unknownToken",
  "warning",
  ({ what, name }, { id }) =>
    t`“${id}” wants the ${what} “${name}”, which the house style does not have. Something plain stands in for it; add it to the style or choose another.`,
);
