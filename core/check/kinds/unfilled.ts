import { cueSubject, defineFinding } from "../../findings/finding.ts";
import { t } from "../../language/t.ts";
import type { Check } from "../check.ts";

const unbound = defineFinding<{ readonly why: string }>("unfilled", "fault", ({ why }) => why);

/** A field that is to be filled from a feed and is not. */
export const unfilled: Check = {
  code: unbound.code,
  name: t`Fields that no feed fills`,
  cue: ({ cue: { cueId, doc }, evening }) => {
    if (doc.kind !== "page" || doc.isOff) return [];
    const known = new Set(evening.feeds.map(({ id }) => id));
    const gone = Object.entries(doc.bindings).filter(([, { feedId }]) => !known.has(feedId));
    const why = evening.bindingProblems[cueId];
    const problems = [
      ...gone.map(([field]) => ({
        field,
        words: t`The feed that was to fill it is gone; what is typed there is shown.`,
      })),
      ...(why !== undefined && gone.length === 0 ? [{ field: "", words: why }] : []),
    ];
    return problems.map(({ field, words }) => ({
      finding: unbound(cueSubject(cueId), { why: words }, field),
      cueId,
    }));
  },
};
