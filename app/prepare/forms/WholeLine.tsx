import { t } from "../../../core/language/t.ts";
import { AS_MADE, type Whole } from "../../../core/scene/adjustment.ts";
import { NumberBox } from "../../ui/NumberBox.tsx";

const BOXES = [
  { name: t`to the right`, field: "xPercent", per: 1, min: -100, max: 100 },
  { name: t`down`, field: "yPercent", per: 1, min: -100, max: 100 },
  { name: t`size`, field: "scale", per: 100, min: 10, max: 300 },
] as const;

/** Where the whole page stands on every screen, and how large, for this cue alone. */
export function WholeLine({
  whole,
  onChange,
}: {
  whole: Whole | null;
  onChange: (whole: Whole | null) => void;
}) {
  const now = whole ?? AS_MADE;
  return (
    <p className="flex flex-wrap items-center gap-x-3 gap-y-1 text-[14px] text-second">
      {t`The whole page`}
      {BOXES.map(({ name, field, per, min, max }) => (
        <span key={field} className="flex items-center gap-1.5">
          {name}
          <NumberBox
            label={t`The whole page, ${name}, %`}
            value={Math.round(now[field] * per)}
            min={min}
            max={max}
            onSave={(percent) => {
              const next = { ...now, [field]: percent / per };
              onChange(JSON.stringify(next) === JSON.stringify(AS_MADE) ? null : next);
            }}
            className="w-18"
          />
          %
        </span>
      ))}
      {whole && (
        <button
          type="button"
          onClick={() => onChange(null)}
          className="min-h-8 rounded-md bg-lifted px-2 text-paper hover:bg-edge"
        >
          {t`put back`}
        </button>
      )}
    </p>
  );
}
