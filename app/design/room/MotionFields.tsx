import { mirrorTracks } from "../../../core/design/edit/keyframes.ts";
import {
  READY_MOVES,
  type ReadyMove,
  SETTLE,
  SIDES,
  type Side,
  wishOf,
  withEnter,
} from "../../../core/design/edit/moves.ts";
import { t } from "../../../core/language/t.ts";
import type { Easing } from "../../../core/motion/easing.ts";
import type { Motion } from "../../../core/scene/motion.ts";
import { EASINGS } from "./motionWords.ts";
import { FigureBox } from "./properties/FigureBox.tsx";
import { boxClass } from "./properties/styles.ts";

const MOVE_WORDS: Readonly<Record<ReadyMove, string>> = {
  fade: t`fade`,
  slide: t`slide`,
  wipe: t`wipe`,
  scale: t`scale up`,
  grow: t`grow`,
  blur: t`out of a blur`,
};
const SIDE_WORDS: Readonly<Record<Side, string>> = {
  left: t`from the left`,
  right: t`from the right`,
  top: t`from the top`,
  bottom: t`from the bottom`,
};
const SIDED: readonly ReadyMove[] = ["slide", "wipe", "grow"];
/** How an object comes and goes, in a few choices; what was set by hand says so and stays until something is chosen. */
export function MotionFields({ motion, onChange }: { motion: Motion; onChange: (motion: Motion) => void }) {
  const wish = wishOf(motion.enter);
  const now = wish ?? {
    move: "fade" as const,
    from: "left" as const,
    durationMs: 400,
    delayMs: 0,
    easing: SETTLE,
  };
  const change = (part: Partial<typeof now>) => onChange(withEnter(motion, { ...now, ...part }));
  const state = motion.enter.length === 0 ? "none" : wish ? wish.move : "own";
  return (
    <div className="flex flex-col gap-1.5">
      <label className="grid grid-cols-[5fr_6fr] items-center gap-2 text-[14px] text-second">
        {t`Comes`}
        <select
          value={state}
          onChange={({ target }) =>
            target.value === "none"
              ? onChange({ ...motion, enter: [] })
              : target.value !== "own" && change({ move: target.value as ReadyMove })
          }
          className={boxClass}
        >
          <option value="none">{t`at once`}</option>
          {READY_MOVES.map((move) => (
            <option key={move} value={move}>
              {MOVE_WORDS[move]}
            </option>
          ))}
          {state === "own" && <option value="own">{t`as set below`}</option>}
        </select>
      </label>
      {wish && SIDED.includes(wish.move) && (
        <label className="grid grid-cols-[5fr_6fr] items-center gap-2 text-[14px] text-second">
          {t`Side`}
          <select
            value={wish.from}
            onChange={({ target }) => change({ from: target.value as Side })}
            className={boxClass}
          >
            {SIDES.map((side) => (
              <option key={side} value={side}>
                {SIDE_WORDS[side]}
              </option>
            ))}
          </select>
        </label>
      )}
      {wish && (
        <>
          <div className="grid grid-cols-2 gap-1.5">
            <FigureBox
              label={t`Takes`}
              value={wish.durationMs}
              min={1}
              max={10_000}
              isWhole
              unit="ms"
              onSave={(durationMs) => change({ durationMs })}
            />
            <FigureBox
              label={t`Waits`}
              value={wish.delayMs}
              min={0}
              max={9_000}
              isWhole
              unit={t`ms wait`}
              onSave={(delayMs) => change({ delayMs })}
            />
          </div>
          <label className="grid grid-cols-[5fr_6fr] items-center gap-2 text-[14px] text-second">
            {t`Pace`}
            <select
              value={JSON.stringify(wish.easing)}
              onChange={({ target }) => change({ easing: JSON.parse(target.value) as Easing })}
              className={boxClass}
            >
              {EASINGS.map(({ words, easing }) => (
                <option key={words} value={JSON.stringify(easing)}>
                  {words}
                </option>
              ))}
              {!EASINGS.some(({ easing }) => JSON.stringify(easing) === JSON.stringify(wish.easing)) && (
                <option value={JSON.stringify(wish.easing)}>{t`as set below`}</option>
              )}
            </select>
          </label>
        </>
      )}
      <label className="flex min-h-8 items-center gap-2.5 text-[14px]">
        <input
          type="checkbox"
          checked={motion.exit === "mirror"}
          onChange={({ target }) =>
            onChange({ ...motion, exit: target.checked ? "mirror" : [...mirrorTracks(motion.enter)] })
          }
          className="size-4.5 accent-act"
        />
        {t`Goes as it came, backwards`}
      </label>
    </div>
  );
}
