import { defineFinding } from "../../findings/finding.ts";
import { t } from "../../language/t.ts";
import type { Check } from "../check.ts";
import { onScreen } from "../onScreen.ts";
import { plansUsed } from "../plansUsed.ts";

const noWindow = defineFinding<{ readonly screen: string }>(
  "noWindow",
  "warning",
  ({ screen }) => t`No window shows ${screen}. Open it by its link, in Screens.`,
);

/** A screen of a plan that is used, which nobody sees. */
export const noWindowCheck: Check = {
  code: noWindow.code,
  name: t`Screens without a window`,
  evening: ({ evening }) => {
    const used = plansUsed(evening);
    return evening.outputs.flatMap(({ id, name }) => {
      const isUsed = used.some((plan) => (plan.outputs[id]?.layerIds.length ?? 0) > 0);
      if (!isUsed || (evening.windows[id]?.length ?? 0) > 0) return [];
      return [{ finding: noWindow(onScreen(id), { screen: name }), cueId: null, outputId: id }];
    });
  },
};
