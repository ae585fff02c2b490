import { cueSubject, defineFinding } from "../../findings/finding.ts";
import { t } from "../../language/t.ts";
import { parseSong } from "../../words/song.ts";
import { orderOf } from "../../words/songOrder.ts";
import type { Check } from "../check.ts";
import { changing } from "../mend.ts";

const finding = defineFinding<{ readonly section: string }>(
  "leftOutSection",
  "note",
  ({ section }) => t`Its order leaves out ${section}.`,
);

/** A section of a song that its order never sings. */
export const leftOutSection: Check = {
  code: finding.code,
  name: t`Sections that are left out`,
  cue: ({ cue: { cueId, revision, doc } }) => {
    if (doc.kind !== "song" || doc.isOff || doc.order.trim() === "") return [];
    const parsed = parseSong(doc.text, doc.title, { told: doc.told });
    if ("problem" in parsed) return [];
    const { items } = orderOf(doc.order, parsed.song);
    const sung = new Set(items.flatMap((item) => (item.kind === "section" ? [item.key] : [])));
    return parsed.song.sections
      .filter(({ key }) => !sung.has(key))
      .map(({ key, label }) => ({
        finding: finding(cueSubject(cueId), { section: label }, key),
        cueId,
        mends: [
          changing({ cueId, revision, doc }, t`Sing it at the end`, { order: `${doc.order.trim()} ${key}` }),
        ],
      }));
  },
};
