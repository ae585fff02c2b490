import { t } from "../../../core/language/t.ts";
import type { ReadableObject } from "../../../core/scene/objectKinds.ts";
import { plainWindow, type TimeWindow, TimeWindowBar } from "./TimeWindowBar.tsx";

/** Room to drag beyond a scale before the next is shown, ms. */
const ROOM_MS = 400;
/** Of a page that stays: enough to say what is seen when, ms. */
const SCALES_MS = [10_000, 20_000, 30_000, 60_000, 120_000, 300_000, 600_000];

/** How much time is shown for when an object is seen; the scale stays while an end is dragged, ms. */
export function scaleOf({ timeWindow }: ReadableObject): number {
  const window = plainWindow(timeWindow);
  const untilMs = Math.max(window?.fromMs ?? 0, window?.untilMs ?? 0);
  return SCALES_MS.find((ms) => untilMs <= ms + ROOM_MS) ?? untilMs;
}

/** When an object is seen: shown of the chosen one, and of those that are not always seen. */
export function WindowRow({
  object: { id, editing, timeWindow },
  isSelected,
  shownMs,
  onChange,
}: {
  object: ReadableObject;
  isSelected: boolean;
  shownMs: number;
  onChange: (window: TimeWindow) => void;
}) {
  const window = plainWindow(timeWindow);
  const isAlways = window?.fromMs === 0 && window.untilMs === null;
  if (isAlways && !isSelected) return null;
  return (
    <div className="grid grid-cols-[170px_minmax(0,1fr)] items-center">
      <span className="pl-7 text-[14px] text-second">{t`seen`}</span>
      {window ? (
        <TimeWindowBar name={editing.name || id} window={window} shownMs={shownMs} onChange={onChange} />
      ) : (
        <span className="text-[14px] text-second">{t`its times are those of the house style`}</span>
      )}
    </div>
  );
}
