import { X } from "lucide-react";
import { t } from "../../../core/language/t.ts";
import type { HouseStyle } from "../../../core/scene/houseStyle.ts";
import { FigureBox } from "../room/properties/FigureBox.tsx";
import { smallButton } from "../room/properties/styles.ts";
import type { EditStyle } from "./editStyle.ts";
import { NewToken } from "./NewToken.tsx";
import { MEASURE_WORDS } from "./styleWords.ts";

/** Lengths and times of a style, by their names. */
export function StyleMeasures({ style, onEdit }: { style: HouseStyle; onEdit: EditStyle }) {
  const set = (name: string, value: number) =>
    onEdit(t`Measure: ${name}`, (from) => ({ ...from, numbers: { ...from.numbers, [name]: value } }));
  return (
    <fieldset className="flex flex-col gap-2">
      <legend className="mb-1 text-[16px] font-semibold">{t`Measures`}</legend>
      <p className="text-[14px] text-second">{t`Lengths in px on a picture 1080 high; times in ms.`}</p>
      {Object.entries(style.numbers).map(([name, value]) => (
        <div key={name} className="grid grid-cols-[minmax(0,1fr)_7rem_2rem] items-center gap-x-2">
          <span aria-hidden="true" className="min-w-0 text-[15px]">
            {MEASURE_WORDS[name] ?? name}
          </span>
          <FigureBox
            label={MEASURE_WORDS[name] ?? name}
            value={value}
            min={-20_000}
            max={20_000}
            onSave={(next) => set(name, next)}
          />
          {Object.hasOwn(MEASURE_WORDS, name) ? (
            <span />
          ) : (
            <button
              type="button"
              aria-label={t`Delete the measure ${name}`}
              onClick={() =>
                onEdit(t`Delete the measure ${name}`, (from) => {
                  const { [name]: _gone, ...numbers } = from.numbers;
                  return { ...from, numbers };
                })
              }
              className={smallButton}
            >
              <X aria-hidden="true" className="size-4" />
            </button>
          )}
        </div>
      ))}
      <NewToken
        label={t`A measure of your own`}
        taken={Object.keys(style.numbers)}
        onAdd={(name) => set(name, 20)}
      />
    </fieldset>
  );
}
