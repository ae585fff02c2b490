import { cueSubject, defineFinding } from "../../findings/finding.ts";
import { t } from "../../language/t.ts";
import type { Check } from "../check.ts";

const goneSource = defineFinding<Record<string, never>>(
  "goneSource",
  "warning",
  () => t`It is to come with a camera that the venue does not have any more: nothing brings it.`,
);

/** A cue tied to a source that is gone. */
export const goneSourceCheck: Check = {
  code: goneSource.code,
  name: t`Cameras that are gone`,
  cue: ({ cue: { cueId, doc }, evening }) => {
    const { comesWith } = doc;
    if (!comesWith || evening.sourceIds.length === 0 || evening.sourceIds.includes(comesWith.sourceId))
      return [];
    return [{ finding: goneSource(cueSubject(cueId), {}, "comesWith"), cueId }];
  },
};
