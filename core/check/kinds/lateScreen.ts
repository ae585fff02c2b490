import { defineFinding } from "../../findings/finding.ts";
import { t } from "../../language/t.ts";
import type { Check } from "../check.ts";
import { onScreen } from "../onScreen.ts";

const late = defineFinding<{ readonly screen: string; readonly seconds: number }>(
  "lateScreen",
  "fault",
  ({ screen, seconds }) => t`${screen} has not been heard of for ${seconds} s.`,
);

/** A screen that is not heard of. */
export const lateScreen: Check = {
  code: late.code,
  name: t`Screens that are late`,
  evening: ({ evening, limits: { lateMs } }) =>
    evening.outputs.flatMap(({ id, name }) => {
      const longest = Math.max(0, ...(evening.windows[id] ?? []).map((window) => window.lateMs ?? 0));
      if (longest <= lateMs) return [];
      const seconds = Math.round(longest / 1_000);
      return [{ finding: late(onScreen(id), { screen: name, seconds }), cueId: null, outputId: id }];
    }),
};
