import { cueSubject, defineFinding } from "../../findings/finding.ts";
import { t } from "../../language/t.ts";
import type { Check } from "../check.ts";

const finding = defineFinding<{ readonly what: string }>(
  "silentSound",
  "warning",
  ({ what }) => t`“${what}” has sound, and no screen that shows it plays sound. Let one play it, in Screens.`,
);

/** Sound that nobody hears. */
export const silentSound: Check = {
  code: finding.code,
  name: t`Sound that no screen plays`,
  page: ({ page, evening }) => {
    const { only } = page.cue.made?.content ?? { only: null };
    if (evening.outputs.some(({ id, sound }) => sound && (only === null || only.includes(id)))) return [];
    const heard = [...page.videos, ...page.sounds].filter(({ level }) => level > 0);
    return heard.flatMap(({ objectId, hash }) => {
      const media = evening.documents.get(hash);
      if (media?.kind !== "media" || !media.hasSound) return [];
      return [
        {
          finding: finding(cueSubject(page.cue.cueId), { what: media.name }, objectId),
          ...{ cueId: page.cue.cueId, step: page.anchor, outputId: page.output.id },
        },
      ];
    });
  },
};
