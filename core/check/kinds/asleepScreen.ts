import { defineFinding } from "../../findings/finding.ts";
import { t } from "../../language/t.ts";
import type { Check } from "../check.ts";
import { onScreen } from "../onScreen.ts";

const asleep = defineFinding<{ readonly screen: string }>(
  "asleepScreen",
  "warning",
  ({ screen }) => t`The window of ${screen} is hidden or minimised: it may stand still.`,
);

/** A window that is hidden. */
export const asleepScreen: Check = {
  code: asleep.code,
  name: t`Windows that are hidden`,
  evening: ({ evening }) =>
    evening.outputs.flatMap(({ id, name }) =>
      (evening.windows[id] ?? []).some(({ isHidden }) => isHidden)
        ? [{ finding: asleep(onScreen(id), { screen: name }), cueId: null, outputId: id }]
        : [],
    ),
};
