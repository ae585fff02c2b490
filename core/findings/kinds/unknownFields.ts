import { t } from "../../language/t.ts";
import { defineFinding } from "../finding.ts";

/** A page of a kind that no template shows. */
export const unknownFields = defineFinding<{ readonly fieldSet: string }>(
  "unknownFields",
  "fault",
  ({ fieldSet }) => t`No template offers the fields “${fieldSet}”. Choose another kind of page.`,
);
