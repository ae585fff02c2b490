import { cueSubject } from "../../findings/finding.ts";
import { missingCredit } from "../../findings/kinds/missingCredit.ts";
import { t } from "../../language/t.ts";
import { findMissingCredits } from "../../words/credits.ts";
import type { Check } from "../check.ts";
import { creditsOf } from "../creditsOf.ts";

/** What a song should say of who made it, and does not. */
export const missingCredits: Check = {
  code: missingCredit.code,
  name: t`Credits that are missing`,
  cue: ({ cue, evening }) =>
    cue.doc.kind !== "song" || cue.doc.isOff
      ? []
      : findMissingCredits(creditsOf(cue.doc), evening.licence).map((finding) => ({
          finding: { ...finding, severity: "warning", subject: cueSubject(cue.cueId) },
          cueId: cue.cueId,
        })),
};
