import { defineFinding } from "../finding.ts";

/** A page of a kind that no template shows. */
export const unknownFields = defineFinding<{ readonly fieldSet: string }>(
  "unknownFields",
  "fault",
  ({ fieldSet }) => `No template offers the fields “${fieldSet}”. Choose another kind of page.`,
);
