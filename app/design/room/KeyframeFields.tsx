import { Trash2 } from "lucide-react";
import type { Keyframe } from "../../../core/design/edit/keyframes.ts";
import { t } from "../../../core/language/t.ts";
import type { Track } from "../../../core/motion/track.ts";
import { EasingField } from "./EasingField.tsx";
import { MOVING_WORDS } from "./motionWords.ts";
import { FigureBox } from "./properties/FigureBox.tsx";
import { smallButton } from "./properties/styles.ts";

/** The chosen keyframe in figures. */
export function KeyframeFields({
  track,
  keyframe,
  isLast,
  onSet,
  onRemove,
}: {
  track: Track;
  keyframe: Keyframe;
  isLast: boolean;
  onSet: (to: Partial<Keyframe>) => void;
  onRemove: () => void;
}) {
  const [words, unit] = MOVING_WORDS[track.property];
  return (
    <div className="flex flex-col gap-2">
      <h3 className="text-[15px] font-semibold first-letter:uppercase">{words}</h3>
      <div className="grid grid-cols-2 gap-2">
        <FigureBox
          label={t`At`}
          value={keyframe.atMs}
          min={0}
          isWhole
          unit="ms"
          onSave={(atMs) => onSet({ atMs })}
        />
        <FigureBox
          label={t`Value`}
          value={keyframe.value}
          min={-20_000}
          max={20_000}
          unit={unit || null}
          onSave={(value) => onSet({ value })}
        />
      </div>
      {!isLast && <EasingField easing={keyframe.easing} onChange={(easing) => onSet({ easing })} />}
      <button type="button" onClick={onRemove} className={`${smallButton} self-start`}>
        <Trash2 aria-hidden="true" className="size-4" /> {t`Delete this keyframe`}
      </button>
    </div>
  );
}
