import { defineFinding } from "../finding.ts";

/** Verses that a text leaves out. */
export const leftOutVerses = defineFinding<{ readonly text: string }>(
  "leftOutVerses",
  "fault",
  ({ text }) => `${text} leaves these verses out. Choose other verses or another text.`,
);
