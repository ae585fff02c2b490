import { cueSubject, defineFinding } from "../../findings/finding.ts";
import { t } from "../../language/t.ts";
import { parseSong } from "../../words/song.ts";
import type { Check } from "../check.ts";

const finding = defineFinding<{ readonly sections: string; readonly first: number; readonly second: number }>(
  "secondLanguage",
  "warning",
  ({ sections, first, second }) =>
    second === 0
      ? t`The second language has nothing for ${sections}: its slides show the first alone.`
      : t`In ${sections} the first language has ${first} lines and the second ${second}: they stand beside the wrong ones.`,
);

/** A song whose second language has other lines than the first. */
export const secondLanguage: Check = {
  code: finding.code,
  name: t`Second languages that do not match`,
  cue: ({ cue: { cueId, doc } }) => {
    if (doc.kind !== "song" || doc.isOff || !doc.second) return [];
    const [first, second] = [
      parseSong(doc.text, doc.title, { told: doc.told }),
      parseSong(doc.second.text, "second"),
    ];
    if ("problem" in first) return [];
    const linesOf = (stanzas: readonly (readonly string[])[]) => stanzas.flat().length;
    const others = new Map(
      "song" in second ? second.song.sections.map(({ key, stanzas }) => [key, linesOf(stanzas)]) : [],
    );
    return first.song.sections.flatMap(({ key, label, stanzas }) => {
      const figures = { sections: label, first: linesOf(stanzas), second: others.get(key) ?? 0 };
      if (figures.first === figures.second) return [];
      return [{ finding: finding(cueSubject(cueId), figures, key), cueId }];
    });
  },
};
