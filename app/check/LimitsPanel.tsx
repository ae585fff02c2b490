import { useId } from "react";
import { t } from "../../core/language/t.ts";
import { LIMIT_NAMES, LIMITS, type LimitName } from "../../core/venue/checkLimits.ts";
import { call } from "../api/call.ts";
import { useDesk, useDeskStore } from "../desk/deskContext.ts";
import { NumberBox } from "../ui/NumberBox.tsx";

/** What the venue holds its pages to. */
export function LimitsPanel() {
  const { venue } = useDesk("venue");
  const store = useDeskStore();
  const set = async (name: LimitName, value: number | null) => {
    const { [name]: _, ...others } = venue.limits;
    const answer = await call("/venue-settings", {
      limits: value === null || value === LIMITS[name].usual ? others : { ...others, [name]: value },
    });
    if ("problem" in answer) store.say("trouble", answer.problem.sentence);
  };
  return (
    <section aria-label={t`Limits`} className="min-h-0 flex-1 overflow-y-auto px-5 py-4">
      <h2 className="text-[17px] font-semibold">{t`Limits`}</h2>
      <p className="mt-1 mb-3 max-w-xl text-[15px] text-second">
        {t`What is beyond these is found. They hold for all evenings of this venue; the distance of the farthest seat stands with each screen, in Screens.`}
      </p>
      <ul className="flex max-w-2xl flex-col">
        {LIMIT_NAMES.map((name) => (
          <Row
            key={name}
            name={name}
            value={venue.limits[name] ?? null}
            onSet={(value) => void set(name, value)}
          />
        ))}
      </ul>
    </section>
  );
}

function Row({
  name,
  value,
  onSet,
}: {
  name: LimitName;
  value: number | null;
  onSet: (value: number | null) => void;
}) {
  const id = useId();
  const { name: says, unit, usual, least, most, step, source } = LIMITS[name];
  return (
    <li className="flex items-center gap-3 border-t border-edge py-2">
      <div className="min-w-0 flex-1">
        <label htmlFor={id} className="text-[15px]">
          {says}
        </label>
        <p className="text-[14px] text-second">{t`usually ${usual} ${unit}${source && `, ${source}`}`}</p>
      </div>
      <NumberBox
        id={id}
        value={value ?? usual}
        min={least}
        max={most}
        step={step}
        className="w-24"
        onSave={onSet}
      />
      <span className="w-12 text-[14px] text-second">{unit}</span>
      <button
        type="button"
        disabled={value === null}
        onClick={() => onSet(null)}
        className="min-h-9 rounded-md bg-lifted px-3 text-[15px] hover:bg-edge disabled:invisible"
      >
        {t`As usual`}
      </button>
    </li>
  );
}
