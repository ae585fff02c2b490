import { Plus, Trash2 } from "lucide-react";
import { Slider } from "radix-ui";
import { t } from "../../../core/language/t.ts";
import type { MovingProperty, Track } from "../../../core/motion/track.ts";
import { MOVING_WORDS } from "./motionWords.ts";
import { boxClass, smallButton } from "./properties/styles.ts";

/** What of an object moves, with its keyframes in time. */
export function TrackRow({
  track,
  shownMs,
  chosen,
  onChoose,
  onMove,
  onAdd,
  onRemove,
}: {
  track: Track;
  shownMs: number;
  chosen: number | null;
  onChoose: (index: number) => void;
  onMove: (index: number, atMs: number) => void;
  onAdd: (atMs: number) => void;
  onRemove: () => void;
}) {
  const [words] = MOVING_WORDS[track.property];
  const times = track.keyframes.map(({ atMs }) => atMs);
  const isPlain = times.every((ms) => typeof ms === "number");
  return (
    <div className="grid grid-cols-[170px_minmax(0,1fr)] items-center">
      <span className="flex items-center justify-between pr-1 pl-7 text-[14px] text-second">
        <span className="truncate">{words}</span>
        <button
          type="button"
          aria-label={t`Delete what moves: ${words}`}
          onClick={onRemove}
          className="grid size-6 place-content-center rounded hover:bg-lifted"
        >
          <Trash2 aria-hidden="true" className="size-3.5" />
        </button>
      </span>
      {isPlain ? (
        <Slider.Root
          value={times}
          min={0}
          max={shownMs}
          step={10}
          minStepsBetweenThumbs={1}
          onValueChange={(next) => {
            const index = next.findIndex((ms, i) => ms !== times[i]);
            if (index >= 0) onMove(index, next[index] as number);
          }}
          // A press beside a keyframe is not meant for the nearest one.
          onPointerDown={(event) => {
            if (!(event.target as Element).closest("[role=slider]")) event.preventDefault();
          }}
          onDoubleClick={(event) => {
            const { left, width } = event.currentTarget.getBoundingClientRect();
            onAdd(Math.round((((event.clientX - left) / width) * shownMs) / 10) * 10);
          }}
          className="relative flex h-7 touch-none items-center"
        >
          <Slider.Track className="h-px w-full bg-edge-strong" />
          {times.map((ms, i) => (
            <Slider.Thumb
              // biome-ignore lint/suspicious/noArrayIndexKey: it is its place in the track
              key={i}
              aria-label={t`${words}, keyframe ${i + 1} of ${times.length}`}
              aria-valuetext={t`${ms} ms`}
              onFocus={() => onChoose(i)}
              className={`block size-3 rotate-45 cursor-grab border outline-offset-2 ${chosen === i ? "border-paper bg-act" : "border-act bg-raised"}`}
            />
          ))}
        </Slider.Root>
      ) : (
        <span className="text-[14px] text-second">{t`its times are those of the house style`}</span>
      )}
    </div>
  );
}

/** Another property that moves; where the exit is the arrival backwards, the way out of that. */
export function AddTrack({
  moves,
  isMirrored,
  onAdd,
  onUnmirror,
}: {
  moves: readonly MovingProperty[];
  isMirrored: boolean;
  onAdd: (property: MovingProperty) => void;
  onUnmirror: () => void;
}) {
  return (
    <div className="py-1 pl-7">
      {isMirrored ? (
        <button type="button" onClick={onUnmirror} className={smallButton}>
          {t`Let it go in its own way`}
        </button>
      ) : (
        <span className="inline-flex items-center gap-1 text-[14px]">
          <Plus aria-hidden="true" className="size-4" />
          <select
            aria-label={t`Let something move`}
            value=""
            onChange={({ target }) => onAdd(target.value as MovingProperty)}
            className={`${boxClass} w-44`}
          >
            <option value="" disabled>
              {t`let something move…`}
            </option>
            {moves.map((property) => (
              <option key={property} value={property}>
                {MOVING_WORDS[property][0]}
              </option>
            ))}
          </select>
        </span>
      )}
    </div>
  );
}
