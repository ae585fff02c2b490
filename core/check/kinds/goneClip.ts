import { defineFinding } from "../../findings/finding.ts";
import { t } from "../../language/t.ts";
import type { Check } from "../check.ts";

const goneClip = defineFinding<{ readonly title: string }>(
  "goneClip",
  "warning",
  ({ title }) => t`The clip “${title}” is in the list, and its film is not in the library any more.`,
);

/** A clip of the list without its film. */
export const goneClipCheck: Check = {
  code: goneClip.code,
  name: t`Clips without a film`,
  evening: ({ evening }) =>
    evening.clips
      .filter(({ lengthMs }) => lengthMs === null)
      .map(({ id, title }) => ({ finding: goneClip({ kind: "evening", id }, { title }), cueId: null })),
};
