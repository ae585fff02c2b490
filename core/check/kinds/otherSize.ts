import { defineFinding } from "../../findings/finding.ts";
import { t } from "../../language/t.ts";
import type { Check } from "../check.ts";
import { onScreen } from "../onScreen.ts";

const otherSize = defineFinding<{ readonly screen: string; readonly is: string; readonly wanted: string }>(
  "otherSize",
  "warning",
  ({ screen, is, wanted }) => t`The window of ${screen} is ${is}, and the screen is set to ${wanted}.`,
);

/** A window of another size than its screen. */
export const otherSizeCheck: Check = {
  code: otherSize.code,
  name: t`Windows of the wrong size`,
  evening: ({ evening }) =>
    evening.outputs.flatMap(({ id, name }) =>
      (evening.windows[id] ?? []).flatMap(({ widthPx, heightPx, wantedWidthPx, wantedHeightPx }) => {
        if (widthPx === wantedWidthPx && heightPx === wantedHeightPx) return [];
        const figures = {
          screen: name,
          is: `${widthPx}×${heightPx}`,
          wanted: `${wantedWidthPx}×${wantedHeightPx}`,
        };
        return [{ finding: otherSize(onScreen(id), figures), cueId: null, outputId: id }];
      }),
    ),
};
