import { cueSubject, defineFinding } from "../../findings/finding.ts";
import { t } from "../../language/t.ts";
import { fieldsIn, writeWords } from "../../scene/writtenWords.ts";
import type { Check } from "../check.ts";
import { saidAs } from "../saidAs.ts";

const finding = defineFinding<{ readonly what: string; readonly value: string }>(
  "longestValue",
  "warning",
  ({ what, value }) => t`The longest that its feed has for “${what}”, “${value}”, does not fit its box.`,
);

/** A field that is filled from a feed, and has no room for the longest that stands there. */
export const longestValue: Check = {
  code: finding.code,
  name: t`Values of feeds that do not fit`,
  page: ({ page, evening }) => {
    const { doc, cueId, made } = page.cue;
    if (doc.kind !== "page" || !made) return [];
    const live: Record<string, string> = {};
    for (const [field, binding] of Object.entries(doc.bindings)) {
      const feed = evening.feeds.find(({ id }) => id === binding.feedId);
      if (binding.kind !== "cell" || !feed || fieldsIn(binding.text).every((name) => !feed.longest[name]))
        continue;
      live[field] = writeWords(binding.text, (name) => feed.longest[name] ?? "");
    }
    const fields = Object.keys(live);
    if (fields.length === 0) return [];
    const target = { cueId, content: made.hash, step: page.anchor };
    const dressed = evening.dress({ ...target, live }, page.outfitId, page.output);
    if (!dressed) return [];
    return page.words.flatMap(({ objectId, field, rect, fits }) => {
      if (field === null || !fields.includes(field) || !fits) return [];
      const own = dressed.laidOut.texts.find((text) => text.objectId === objectId);
      if (!own || own.fits) return [];
      return [
        {
          finding: finding(
            cueSubject(cueId),
            { what: saidAs(page, { objectId, field }, evening), value: (live[field] ?? "").slice(0, 80) },
            field,
          ),
          ...{ cueId, step: page.anchor, outputId: page.output.id, rect },
        },
      ];
    });
  },
};
