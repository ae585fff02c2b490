import { defineFinding } from "../../findings/finding.ts";
import type { Check } from "../check.ts";
import { plansUsed } from "../plansUsed.ts";

const noWindow = defineFinding<{ readonly screen: string }>(
  "noWindow",
  "warning",
  ({ screen }) => `No window shows ${screen}. Open it by its link, in Screens.`,
);
const otherSize = defineFinding<{ readonly screen: string; readonly is: string; readonly wanted: string }>(
  "otherSize",
  "warning",
  ({ screen, is, wanted }) => `The window of ${screen} is ${is}, and the screen is set to ${wanted}.`,
);
const late = defineFinding<{ readonly screen: string; readonly seconds: number }>(
  "lateScreen",
  "fault",
  ({ screen, seconds }) => `${screen} has not been heard of for ${seconds} s.`,
);
const asleep = defineFinding<{ readonly screen: string }>(
  "asleepScreen",
  "warning",
  ({ screen }) => `The window of ${screen} is hidden or minimised: it may stand still.`,
);

const onScreen = (id: string) => ({ kind: "screen", id }) as const;

/** A screen of a plan that is used, which nobody sees. */
export const noWindowCheck: Check = {
  code: noWindow.code,
  name: "Screens without a window",
  evening: ({ evening }) => {
    const used = plansUsed(evening);
    return evening.outputs.flatMap(({ id, name }) => {
      const isUsed = used.some((plan) => (plan.outputs[id]?.layerIds.length ?? 0) > 0);
      if (!isUsed || (evening.windows[id]?.length ?? 0) > 0) return [];
      return [{ finding: noWindow(onScreen(id), { screen: name }), cueId: null, outputId: id }];
    });
  },
};

/** A window of another size than its screen. */
export const otherSizeCheck: Check = {
  code: otherSize.code,
  name: "Windows of the wrong size",
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

/** A screen that is not heard of. */
export const lateScreen: Check = {
  code: late.code,
  name: "Screens that are late",
  evening: ({ evening, limits: { lateMs } }) =>
    evening.outputs.flatMap(({ id, name }) => {
      const longest = Math.max(0, ...(evening.windows[id] ?? []).map((window) => window.lateMs ?? 0));
      if (longest <= lateMs) return [];
      const seconds = Math.round(longest / 1_000);
      return [{ finding: late(onScreen(id), { screen: name, seconds }), cueId: null, outputId: id }];
    }),
};

/** A window that is hidden. */
export const asleepScreen: Check = {
  code: asleep.code,
  name: "Windows that are hidden",
  evening: ({ evening }) =>
    evening.outputs.flatMap(({ id, name }) =>
      (evening.windows[id] ?? []).some(({ isHidden }) => isHidden)
        ? [{ finding: asleep(onScreen(id), { screen: name }), cueId: null, outputId: id }]
        : [],
    ),
};
