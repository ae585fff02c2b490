import { Slider } from "radix-ui";
import { t } from "../../../core/language/t.ts";

/** From when on something is seen after its page came, and until when; null: for as long as the page is there. */
export interface TimeWindow {
  readonly fromMs: number;
  readonly untilMs: number | null;
}

/** Where both ends meet there is nothing to be seen, ms. */
const LEAST_MS = 100;

/**
 * When an object is seen while its page is up, as a bar whose ends are dragged. The far end at the right edge is for as long as the page
 * is there.
 * @param shownMs how much time the bar has room for
 */
export function TimeWindowBar({
  name,
  window: { fromMs, untilMs },
  shownMs,
  onChange,
}: {
  name: string;
  window: TimeWindow;
  shownMs: number;
  onChange: (window: TimeWindow) => void;
}) {
  const until = untilMs === null ? shownMs : Math.min(untilMs, shownMs);
  const thumb = "block h-5 w-2 cursor-ew-resize rounded-sm border border-paper bg-act outline-offset-2";
  return (
    <Slider.Root
      value={[Math.min(fromMs, shownMs), until]}
      min={0}
      max={shownMs}
      step={50}
      minStepsBetweenThumbs={LEAST_MS / 50}
      onValueChange={([from = 0, to = shownMs]) =>
        onChange({ fromMs: from, untilMs: to >= shownMs ? null : to })
      }
      className="relative flex h-7 touch-none items-center"
    >
      <Slider.Track className="relative h-3 w-full rounded-sm bg-lifted">
        <Slider.Range className="absolute h-full rounded-sm bg-act/40" />
      </Slider.Track>
      <Slider.Thumb aria-label={t`${name}: seen from`} aria-valuetext={t`${fromMs} ms`} className={thumb} />
      <Slider.Thumb
        aria-label={t`${name}: seen until`}
        aria-valuetext={untilMs === null ? t`as long as the page is there` : t`${untilMs} ms`}
        className={thumb}
      />
    </Slider.Root>
  );
}

/** The window of an object where its ends are figures: those that the house style decides are set in the properties. */
export function plainWindow(window: {
  readonly fromMs: unknown;
  readonly untilMs: unknown;
}): TimeWindow | null {
  const { fromMs, untilMs } = window;
  return typeof fromMs === "number" && (untilMs === null || typeof untilMs === "number")
    ? { fromMs, untilMs }
    : null;
}
