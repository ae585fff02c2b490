import { cueSubject, defineFinding } from "../../findings/finding.ts";
import { t } from "../../language/t.ts";
import type { Check } from "../check.ts";
import { nearNames } from "../nearNames.ts";
import { textsOf } from "../textsOf.ts";

const finding = defineFinding<{ readonly name: string; readonly other: string; readonly times: number }>(
  "spelling",
  "warning",
  ({ name, other, times }) =>
    t`It says “${name}”, and elsewhere ${times === 1 ? t`once` : t`${times} times`} “${other}”. Is that one name?`,
);

/** A name that is spelt in two ways across the evening. */
export const spelling: Check = {
  code: finding.code,
  name: t`Names spelt in two ways`,
  evening: ({ evening }) =>
    nearNames(
      evening.cues.flatMap((cue) => textsOf(cue, evening.fieldSets).map((text) => ({ cue, ...text }))),
    ).map(({ cue, name, other, times }) => ({
      finding: finding(cueSubject(cue.cueId), { name, other, times }, name),
      cueId: cue.cueId,
      mends: [
        { kind: "replaceWords" as const, label: t`Write “${other}” everywhere`, find: name, by: other },
      ],
    })),
};
