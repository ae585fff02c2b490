import { t } from "../../../core/language/t.ts";
import { type Adjustable, adjustableParts } from "../../../core/rundown/adjustable.ts";
import type { CueDoc } from "../../../core/rundown/cueDoc.ts";
import { type Adjustment, type Adjustments, NO_ADJUSTMENT } from "../../../core/scene/adjustment.ts";
import { useDesk, useDeskStore } from "../../desk/deskContext.ts";
import type { DeskCue } from "../../desk/deskCues.ts";
import { CheckBox } from "../../ui/CheckBox.tsx";
import { NumberBox } from "../../ui/NumberBox.tsx";
import { fieldLabel } from "./fieldLabel.ts";
import { describeAdjustment, withAdjustment } from "./nudges.ts";

/** What was nudged, sized or hidden on this page alone, each with its way back; the keys for it, and every part it can be done to. */
export function AdjustLine({
  cue,
  doc,
  onChange,
}: {
  cue: DeskCue;
  doc: CueDoc;
  onChange: (adjust: Adjustments) => void;
}) {
  const { documents } = useDeskStore();
  const { fieldSets } = useDesk("fieldSets");
  const { adjust } = doc;
  const parts = cue.ready ? adjustableParts(cue.ready.content, documents) : [];
  const nameOf = (key: string) =>
    key.startsWith("#")
      ? (parts.find((part) => part.key === key)?.name ?? key.slice(1))
      : fieldLabel(doc, key, fieldSets);
  return (
    <div className="text-[14px] leading-8 text-second">
      <p className="flex flex-wrap items-center gap-x-4 gap-y-1">
        <span>
          {t`In a field`} <kbd>Alt</kbd> {t`and the arrows nudge what it shows on the screens, with`}{" "}
          <kbd>Shift</kbd> {t`by ten;`} <kbd>Alt +</kbd> <kbd>Alt −</kbd> {t`size it,`} <kbd>Alt H</kbd>{" "}
          {t`hides,`} <kbd>Alt 0</kbd> {t`puts back.`}
        </span>
        {Object.entries(adjust).map(([key, adjustment]) => (
          <span key={key} className="flex items-center gap-2 text-paper">
            {nameOf(key)}: {describeAdjustment(adjustment)}
            <button
              type="button"
              onClick={() => onChange(withAdjustment(adjust, key, NO_ADJUSTMENT))}
              className="min-h-8 rounded-md bg-lifted px-2 hover:bg-edge"
            >
              {t`put back`}
            </button>
          </span>
        ))}
      </p>
      {parts.length > 0 && (
        <details>
          <summary className="cursor-pointer">{t`Every part of the page`}</summary>
          <p className="mt-1 flex flex-wrap items-center gap-2">
            {parts.map(({ key }) => (
              <button
                key={key}
                type="button"
                data-field={key}
                title={t`With this chosen, Alt and the arrows move it`}
                className="min-h-9 rounded-md border border-edge px-3 text-[15px] text-paper hover:bg-lifted focus:border-act focus:bg-act-ground"
              >
                {nameOf(key)}
              </button>
            ))}
          </p>
          {parts
            .filter(({ isRuled }) => isRuled)
            .map(({ key }) => (
              <RuledLine
                key={key}
                name={nameOf(key)}
                adjustment={adjust[key]}
                onChange={(to) => onChange(withAdjustment(adjust, key, to))}
              />
            ))}
          {parts
            .filter(({ isHeard }) => isHeard)
            .map((part) => (
              <HeardLine
                key={part.key}
                part={part}
                name={nameOf(part.key)}
                adjust={adjust}
                onChange={onChange}
              />
            ))}
        </details>
      )}
    </div>
  );
}

const RULINGS = [
  { value: "ruled", words: t`when its template says so` },
  { value: "shown", words: t`always, on this page` },
  { value: "hidden", words: t`never, on this page` },
] as const;

/** Whether a part that has a rule is shown on this page all the same, or not. */
function RuledLine({
  name,
  adjustment: now = NO_ADJUSTMENT,
  onChange,
}: {
  name: string;
  adjustment: Adjustment | undefined;
  onChange: (adjustment: Adjustment) => void;
}) {
  const value = now.isHidden ? "hidden" : now.isShown ? "shown" : "ruled";
  const { isShown: _, ...others } = now;
  return (
    <label className="mt-1 flex flex-wrap items-center gap-2.5">
      {t`${name} is shown`}
      <select
        value={value}
        onChange={({ target }) =>
          onChange({
            ...others,
            isHidden: target.value === "hidden",
            ...(target.value === "shown" && { isShown: true as const }),
          })
        }
        className="min-h-9 rounded-md border border-edge-strong bg-ground px-2 text-[15px] text-paper"
      >
        {RULINGS.map(({ value: each, words }) => (
          <option key={each} value={each}>
            {words}
          </option>
        ))}
      </select>
    </label>
  );
}

/** How loud a clip or sound is on this page, and whether it begins again at its end. */
function HeardLine({
  part: { key },
  name,
  adjust,
  onChange,
}: {
  part: Adjustable;
  name: string;
  adjust: Adjustments;
  onChange: (adjust: Adjustments) => void;
}) {
  const now = adjust[key] ?? NO_ADJUSTMENT;
  return (
    <p className="mt-1 flex flex-wrap items-center gap-2.5">
      {t`${name}: loud`}
      <NumberBox
        label={t`How loud ${name} is, in hundredths`}
        value={now.level === null ? null : Math.round(now.level * 100)}
        min={0}
        max={100}
        onSave={(hundredths) => onChange(withAdjustment(adjust, key, { ...now, level: hundredths / 100 }))}
        onClear={() => onChange(withAdjustment(adjust, key, { ...now, level: null }))}
      />
      {t`% (empty: as the template says)`}
      <CheckBox
        label={t`begins again at its end`}
        isOn={now.isLooped ?? false}
        onChange={(isOn) => onChange(withAdjustment(adjust, key, { ...now, isLooped: isOn ? true : null }))}
      />
    </p>
  );
}
