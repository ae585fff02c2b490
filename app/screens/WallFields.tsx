import { t } from "../../core/language/t.ts";
import type { Output } from "../../core/venue/plan.ts";
import { CheckBox } from "../ui/CheckBox.tsx";
import { NumberField } from "./fields.tsx";

/** Which part of a larger canvas the screen shows: one page over a wall of several. */
export function WallFields({ output, onSave }: { output: Output; onSave: (output: Output) => void }) {
  return (
    <details className="rounded-lg border border-edge p-3" open={output.region !== null}>
      <summary className="cursor-pointer text-[15px] font-semibold">{t`Part of a wall`}</summary>
      <div className="mt-3 flex flex-col gap-3">
        <CheckBox
          label={t`Shows a part of a larger canvas`}
          isOn={output.region !== null}
          onChange={(isPart) =>
            onSave({
              ...output,
              region: isPart
                ? { canvasWidthPx: output.widthPx * 2, canvasHeightPx: output.heightPx, xPx: 0, yPx: 0 }
                : null,
            })
          }
        />
        {output.region && (
          <div className="grid grid-cols-2 gap-3">
            {(
              [
                ["canvasWidthPx", t`Canvas wide, px`, 16],
                ["canvasHeightPx", t`Canvas high, px`, 16],
                ["xPx", t`This part from the left, px`, -16_000],
                ["yPx", t`This part from the top, px`, -16_000],
              ] as const
            ).map(([key, label, min]) => (
              <NumberField
                key={key}
                label={label}
                value={output.region?.[key] ?? 0}
                min={min}
                max={16_000}
                onSave={(px) =>
                  output.region && onSave({ ...output, region: { ...output.region, [key]: px } })
                }
              />
            ))}
          </div>
        )}
      </div>
    </details>
  );
}
