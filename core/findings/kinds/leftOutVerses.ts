import { t } from "../../language/t.ts";
import { defineFinding } from "../finding.ts";

/** Verses that a text leaves out. */
export const leftOutVerses = defineFinding<{ readonly text: string }>(
  "leftOutVerses",
  "fault",
  ({ text }) => t`${text} leaves these verses out. Choose other verses or another text.`,
);
