import { t } from "../../language/t.ts";
import type { Check } from "../check.ts";

/** Cues that no press can bring as they stand. */
export const cannotBeTaken: Check = {
  code: "cannotBeTaken",
  name: t`Cues that cannot be taken`,
  cue: ({ cue }) =>
    cue.problem === null || cue.doc.isOff
      ? []
      : [
          {
            finding: {
              ...cue.problem,
              code: "cannotBeTaken",
              severity: "fault",
              subject: { kind: "cue", id: cue.cueId },
            },
            cueId: cue.cueId,
          },
        ],
};
