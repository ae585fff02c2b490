import { defineFinding } from "../finding.ts";

/** A reference that names no verses of its text. */
export const unreadReference = defineFinding<{ readonly why: string }>(
  "unreadReference",
  "fault",
  ({ why }) => `${why}`,
);
