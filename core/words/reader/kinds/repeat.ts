import { t } from "../../../language/t.ts";
import type { Weigh } from "../candidate.ts";
import { findRepeat } from "../repeat.ts";

/** "Repeat chorus twice", "(back to verse 1)", "D.S.", "Chorus again". */
export const weighRepeat: Weigh = ({ text }) =>
  findRepeat(text) ? { kind: "repeat", weight: 11, why: t`says to sing something again` } : undefined;
