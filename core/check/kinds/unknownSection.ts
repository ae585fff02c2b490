import { cueSubject, defineFinding } from "../../findings/finding.ts";
import { t } from "../../language/t.ts";
import { parseSong } from "../../words/song.ts";
import { orderOf } from "../../words/songOrder.ts";
import type { Check } from "../check.ts";

const unknown = defineFinding<{ readonly words: string }>(
  "unknownSection",
  "warning",
  ({ words }) => t`Its order says “${words}”, and the song has no such section: it is passed over.`,
);

/** A word of a song's order that is no section of it. */
export const unknownSection: Check = {
  code: unknown.code,
  name: t`Orders with unknown sections`,
  cue: ({ cue: { cueId, doc } }) => {
    if (doc.kind !== "song" || doc.isOff || doc.order.trim() === "") return [];
    const parsed = parseSong(doc.text, doc.title, { told: doc.told });
    if ("problem" in parsed) return [];
    return orderOf(doc.order, parsed.song).unknown.map(({ text }) => ({
      finding: unknown(cueSubject(cueId), { words: text }, text),
      cueId,
    }));
  },
};
