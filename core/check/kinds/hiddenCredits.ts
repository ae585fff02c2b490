import { cueSubject, defineFinding } from "../../findings/finding.ts";
import { t } from "../../language/t.ts";
import type { Check } from "../check.ts";
import { creditsOf } from "../creditsOf.ts";
import { changing } from "../mend.ts";

const hidden = defineFinding<{ readonly who: string }>(
  "hiddenCredit",
  "warning",
  ({ who }) => t`It is by ${who}, and its credit is shown nowhere.`,
);

/** A song whose credit is known and not shown. */
export const hiddenCredits: Check = {
  code: hidden.code,
  name: t`Credits that are not shown`,
  cue: ({ cue: { cueId, revision, doc } }) => {
    if (doc.kind !== "song" || doc.isOff || doc.creditAt !== "none") return [];
    const { writers, publicDomain } = creditsOf(doc);
    if (publicDomain || writers === "") return [];
    return [
      {
        finding: hidden(cueSubject(cueId), { who: writers }, "credit"),
        cueId,
        mends: [changing({ cueId, revision, doc }, t`Show it on the last slide`, { creditAt: "last" })],
      },
    ];
  },
};
