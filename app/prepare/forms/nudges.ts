import { t } from "../../../core/language/t.ts";
import { type Adjustment, type Adjustments, NO_ADJUSTMENT } from "../../../core/scene/adjustment.ts";

const FINE_PX = 1;
const COARSE_PX = 10;
const SIZE_STEP = 0.05;

const MOVES: Readonly<Record<string, readonly [dx: number, dy: number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};

/**
 * What a key with Alt does to the text of a field: the arrows nudge it by one pixel, with Shift by ten; plus and minus size
 * it; H hides it, 0 puts it back.
 * @returns undefined for any other key
 */
export function nudge(
  adjust: Adjustments,
  field: string,
  event: {
    readonly key: string;
    readonly code: string;
    readonly altKey: boolean;
    readonly shiftKey: boolean;
  },
): Adjustments | undefined {
  if (!event.altKey) return undefined;
  const now = adjust[field] ?? NO_ADJUSTMENT;
  const move = MOVES[event.key];
  if (move) {
    const px = event.shiftKey ? COARSE_PX : FINE_PX;
    return withAdjustment(adjust, field, {
      ...now,
      xPx: now.xPx + move[0] * px,
      yPx: now.yPx + move[1] * px,
    });
  }
  const size = (by: number) =>
    withAdjustment(adjust, field, {
      ...now,
      scale: Math.min(4, Math.max(0.2, Math.round((now.scale + by) * 100) / 100)),
    });
  if (event.key === "+" || event.code === "Equal" || event.code === "NumpadAdd") return size(SIZE_STEP);
  if (event.key === "-" || event.code === "Minus" || event.code === "NumpadSubtract") return size(-SIZE_STEP);
  if (event.code === "KeyH") return withAdjustment(adjust, field, { ...now, isHidden: !now.isHidden });
  if (event.code === "Digit0" || event.code === "Numpad0")
    return withAdjustment(adjust, field, NO_ADJUSTMENT);
  return undefined;
}

/** The adjustments with one field’s put in; one that changes nothing is left out. */
export function withAdjustment(adjust: Adjustments, field: string, adjustment: Adjustment): Adjustments {
  const { [field]: _, ...others } = adjust;
  const isNone = JSON.stringify(adjustment) === JSON.stringify(NO_ADJUSTMENT);
  return isNone ? others : { ...others, [field]: adjustment };
}

/** An adjustment in words; undefined when there is none. */
export function describeAdjustment(adjustment: Adjustment | undefined): string | undefined {
  if (!adjustment) return undefined;
  const { xPx, yPx, scale, isHidden, isShown, speed, level, isLooped, wide, shade } = adjustment;
  const parts: string[] = [];
  if (isHidden) parts.push(t`hidden`);
  else if (isShown) parts.push(t`shown whatever its rule says`);
  if (xPx !== 0) parts.push(xPx > 0 ? t`${xPx} px right` : t`${-xPx} px left`);
  if (yPx !== 0) parts.push(yPx > 0 ? t`${yPx} px down` : t`${-yPx} px up`);
  if (scale !== 1) parts.push(t`${Math.round(scale * 100)} % of its size`);
  if (speed) parts.push(t`a speed of its own`);
  if (level !== null) parts.push(t`${Math.round(level * 100)} % loud`);
  if (wide !== undefined && wide !== 1) parts.push(t`box ${Math.round(wide * 100)} % wide`);
  if (shade !== undefined) parts.push(t`a shade behind it`);
  if (isLooped !== null) parts.push(isLooped ? t`begins again at its end` : t`plays once`);
  return parts.join(", ");
}
