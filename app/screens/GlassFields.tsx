import { t } from "../../core/language/t.ts";
import { fittingMap } from "../../core/venue/fitting.ts";
import { NO_FITTING, type Output } from "../../core/venue/plan.ts";
import { CheckBox } from "../ui/CheckBox.tsx";
import { Choice, NumberField } from "./fields.tsx";

/** How the picture is put onto the glass: turned, mirrored, off the edges, pinned, brighter or darker. */
export function GlassFields({ output, onSave }: { output: Output; onSave: (output: Output) => void }) {
  const { fitting, trim } = output;
  const refit = (change: Partial<Output["fitting"]>) =>
    onSave({ ...output, fitting: { ...fitting, ...change } });
  const isPlain =
    JSON.stringify(fitting) === JSON.stringify(NO_FITTING) && trim.brightness === 1 && trim.gamma === 1;
  return (
    <details className="rounded-lg border border-edge p-3" open={!isPlain}>
      <summary className="cursor-pointer text-[15px] font-semibold">{t`Onto the glass`}</summary>
      <div className="mt-3 flex flex-col gap-3">
        <div className="flex items-end gap-4">
          <Choice
            label={t`Turned`}
            value={String(fitting.turnDeg)}
            options={[
              ["0", t`upright`],
              ["90", t`90° to the right`],
              ["180", t`upside down`],
              ["270", t`90° to the left`],
            ]}
            onSave={(turn) => refit({ turnDeg: Number(turn) as 0 | 90 | 180 | 270 })}
          />
          <CheckBox
            label={t`Mirrored, from behind`}
            isOn={fitting.mirrored}
            onChange={(mirrored) => refit({ mirrored })}
          />
        </div>
        <div className="flex gap-2 *:flex-1">
          {(["top", "right", "bottom", "left"] as const).map((side) => (
            <NumberField
              key={side}
              label={t`Off ${side}, px`}
              value={fitting.marginsPx[side]}
              min={0}
              max={2_000}
              onSave={(px) => refit({ marginsPx: { ...fitting.marginsPx, [side]: px } })}
            />
          ))}
        </div>
        <Corners output={output} onSave={(corners) => refit({ corners })} />
        <div className="flex gap-3 *:flex-1">
          <NumberField
            label={t`Brightness, times`}
            value={trim.brightness}
            min={0.2}
            max={2}
            step={0.05}
            onSave={(brightness) => onSave({ ...output, trim: { ...trim, brightness } })}
          />
          <NumberField
            label={t`Gamma`}
            value={trim.gamma}
            min={0.4}
            max={2.5}
            step={0.05}
            onSave={(gamma) => onSave({ ...output, trim: { ...trim, gamma } })}
          />
        </div>
      </div>
    </details>
  );
}

function Corners({
  output,
  onSave,
}: {
  output: Output;
  onSave: (corners: Output["fitting"]["corners"]) => void;
}) {
  const zero = { xPx: 0, yPx: 0 };
  const corners = output.fitting.corners ?? [zero, zero, zero, zero];
  const names = [t`top left`, t`top right`, t`bottom right`, t`bottom left`];
  const isFlat = fittingMap(output.widthPx, output.heightPx, output.fitting) === undefined;
  return (
    <div>
      <p className="mb-1 text-[14px] text-second">{t`Corners moved, px to the right and down`}</p>
      <div className="grid grid-cols-2 gap-2">
        {corners.map((corner, at) => (
          <div key={names[at]} className="flex items-end gap-1.5">
            {(["xPx", "yPx"] as const).map((axis) => (
              <NumberField
                key={axis}
                label={axis === "xPx" ? (names[at] ?? "") : "down"}
                value={corner[axis]}
                min={-4_000}
                max={4_000}
                onSave={(px) => {
                  const moved = corners.map((other, i) => (i === at ? { ...other, [axis]: px } : other));
                  const isZero = moved.every(({ xPx, yPx }) => xPx === 0 && yPx === 0);
                  onSave(isZero ? null : (moved as unknown as NonNullable<Output["fitting"]["corners"]>));
                }}
              />
            ))}
          </div>
        ))}
      </div>
      {isFlat && (
        <p className="mt-1 text-[14px] text-attention">
          {t`These corners cannot hold a picture; it is shown unpinned.`}
        </p>
      )}
    </div>
  );
}
