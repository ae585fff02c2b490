import { t } from "../../language/t.ts";
import { defineFinding } from "../finding.ts";

/** A motion that does nothing to its kind of object. */
export const unusedTrack = defineFinding<{ readonly property: string; readonly kind: string }>(
  "unusedTrack",
  "note",
  ({ property, kind }, { id }) =>
    t`“${id}” has a track of ${property}, which does nothing to a ${kind}. It moves without it; the track can be taken out.`,
);
