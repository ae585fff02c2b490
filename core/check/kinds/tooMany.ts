import { cueSubject, defineFinding } from "../../findings/finding.ts";
import { t } from "../../language/t.ts";
import type { Check, StackLook } from "../check.ts";
import { comesByItself } from "../coveredWords.ts";
import type { PageOnScreen } from "../pageFacts.ts";

const finding = defineFinding<{ readonly count: number; readonly limit: number; readonly names: string }>(
  "tooMany",
  "warning",
  ({ count, limit, names }) =>
    t`${count} pages with words at once: ${names}. ${limit} is the limit; take one out before.`,
);

/** The pages with words at once, where they are more than the limit; what stays through the evening on its own layer does not count. */
export function tooManyOf({
  pages,
  moment,
  evening,
  limits,
}: StackLook): readonly PageOnScreen[] | undefined {
  const lasting = new Set(evening.layers.filter(({ persistent }) => persistent).map(({ id }) => id));
  const read = pages.filter(({ words, layerId }) => words.length > 0 && !lasting.has(layerId));
  if (read.length <= limits.mostAtOnce || !read.some(({ cue }) => cue.cueId === moment.cue.cueId))
    return undefined;
  return read;
}

/** More pages to read at once than people can, one of which came by itself. Common practice: two. */
export const tooMany: Check = {
  code: finding.code,
  name: t`Too many things at once`,
  stack: (look) => {
    const read = tooManyOf(look);
    if (!read?.some(({ cue }) => comesByItself(cue))) return [];
    const { moment, pages, limits } = look;
    const names = read.map(({ cue }) => `“${cue.title}”`).join(", ");
    return [
      {
        finding: finding(cueSubject(moment.cue.cueId), {
          count: read.length,
          limit: limits.mostAtOnce,
          names,
        }),
        ...{ cueId: moment.cue.cueId, step: moment.step.anchor, outputId: pages[0]?.output.id ?? "" },
        amount: read.length,
      },
    ];
  },
};
