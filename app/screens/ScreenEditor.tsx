import { ExternalLink, Trash2 } from "lucide-react";
import qrcode from "qrcode-generator";
import { useEffect, useMemo, useState } from "react";
import { useRevalidator } from "react-router";
import { fittingMap } from "../../core/screens/fitting.ts";
import { NO_FITTING, type Output } from "../../core/screens/plan.ts";
import { FRAME_RATES, type FrameRateName } from "../../core/time/timecode.ts";
import { useDeskData } from "../desk/useDeskData.ts";
import { fieldClass, Labelled } from "../prepare/Labelled.tsx";
import { postJson } from "../ui/postJson.ts";

const SIZES: readonly (readonly [name: string, widthPx: number, heightPx: number])[] = [
  ["1920 × 1080", 1920, 1080],
  ["1280 × 720", 1280, 720],
  ["3840 × 2160", 3840, 2160],
  ["1080 × 1920, portrait", 1080, 1920],
  ["3840 × 1080, wide wall", 3840, 1080],
  ["1920 × 360, ribbon", 1920, 360],
  ["1024 × 768", 1024, 768],
];

/** What a screen is: its size and signal, how it is put onto the glass, and the ways to open it. */
export function ScreenEditor({
  output,
  onSave,
  onRemove,
}: {
  output: Output;
  onSave: (output: Output) => void;
  onRemove: () => void;
}) {
  const preset = SIZES.find(([, w, h]) => w === output.widthPx && h === output.heightPx)?.[0] ?? "";
  const { fitting } = output;
  const refit = (change: Partial<Output["fitting"]>) =>
    onSave({ ...output, fitting: { ...fitting, ...change } });
  return (
    <div className="flex flex-col gap-4">
      <TextField label="Name" value={output.name} onSave={(name) => onSave({ ...output, name })} />
      <Labelled id="size" label="Size">
        <select
          id="size"
          value={preset}
          onChange={(event) => {
            const size = SIZES.find(([name]) => name === event.target.value);
            if (size) onSave({ ...output, widthPx: size[1], heightPx: size[2] });
          }}
          className={`${fieldClass} text-[15px]`}
        >
          {preset === "" && <option value="">other</option>}
          {SIZES.map(([name]) => (
            <option key={name} value={name}>
              {name}
            </option>
          ))}
        </select>
      </Labelled>
      <div className="flex gap-3 *:flex-1">
        <NumberField
          label="Wide, px"
          value={output.widthPx}
          min={16}
          max={16_000}
          onSave={(widthPx) => onSave({ ...output, widthPx })}
        />
        <NumberField
          label="High, px"
          value={output.heightPx}
          min={16}
          max={16_000}
          onSave={(heightPx) => onSave({ ...output, heightPx })}
        />
      </div>
      <div className="flex gap-3 *:flex-1">
        <Choice
          label="Ground"
          value={output.backdrop}
          options={[
            ["opaque", "black"],
            ["transparent", "transparent"],
          ]}
          onSave={(backdrop) => onSave({ ...output, backdrop })}
        />
        <Choice
          label="Signal"
          value={output.signal}
          options={[
            ["picture", "picture"],
            ["fill", "fill"],
            ["key", "key"],
          ]}
          onSave={(signal) => onSave({ ...output, signal })}
        />
        <Choice
          label="Frames a second"
          value={output.frameRate}
          options={(Object.keys(FRAME_RATES) as FrameRateName[]).map((name) => [name, name])}
          onSave={(frameRate) => onSave({ ...output, frameRate })}
        />
      </div>
      <div className="flex flex-wrap gap-x-6 gap-y-2">
        <Check
          label="Clips are heard here"
          value={output.sound}
          onSave={(sound) => onSave({ ...output, sound })}
        />
        <Check
          label="Program beneath"
          value={output.program}
          onSave={(program) => onSave({ ...output, program })}
        />
      </div>
      <div className="flex gap-3 *:flex-1">
        <Choice
          label="Safe areas"
          value={output.safeArea}
          options={[
            ["smpte", "SMPTE"],
            ["ebu", "EBU"],
          ]}
          onSave={(safeArea) => onSave({ ...output, safeArea })}
        />
        <NumberField
          label="Farthest seat, m"
          value={output.farthestM}
          min={0.5}
          max={500}
          step={0.5}
          onSave={(farthestM) => onSave({ ...output, farthestM })}
          onClear={() => onSave({ ...output, farthestM: null })}
        />
        <NumberField
          label="Picture high, m"
          value={output.pictureHeightM}
          min={0.1}
          max={100}
          step={0.1}
          onSave={(pictureHeightM) => onSave({ ...output, pictureHeightM })}
          onClear={() => onSave({ ...output, pictureHeightM: null })}
        />
      </div>
      <details
        className="rounded-lg border border-edge p-3"
        open={JSON.stringify(fitting) !== JSON.stringify(NO_FITTING)}
      >
        <summary className="cursor-pointer text-[15px] font-semibold">Onto the glass</summary>
        <div className="mt-3 flex flex-col gap-3">
          <div className="flex items-end gap-4">
            <Choice
              label="Turned"
              value={String(fitting.turnDeg)}
              options={[
                ["0", "upright"],
                ["90", "90° to the right"],
                ["180", "upside down"],
                ["270", "90° to the left"],
              ]}
              onSave={(turn) => refit({ turnDeg: Number(turn) as 0 | 90 | 180 | 270 })}
            />
            <Check
              label="Mirrored, from behind"
              value={fitting.mirrored}
              onSave={(mirrored) => refit({ mirrored })}
            />
          </div>
          <div className="flex gap-2 *:flex-1">
            {(["top", "right", "bottom", "left"] as const).map((side) => (
              <NumberField
                key={side}
                label={`Off ${side}, px`}
                value={fitting.marginsPx[side]}
                min={0}
                max={2_000}
                onSave={(px) => refit({ marginsPx: { ...fitting.marginsPx, [side]: px } })}
              />
            ))}
          </div>
          <Corners output={output} onSave={(corners) => refit({ corners })} />
        </div>
      </details>
      <details className="rounded-lg border border-edge p-3" open={output.region !== null}>
        <summary className="cursor-pointer text-[15px] font-semibold">Part of a wall</summary>
        <div className="mt-3 flex flex-col gap-3">
          <Check
            label="Shows a part of a larger canvas"
            value={output.region !== null}
            onSave={(isPart) =>
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
                  ["canvasWidthPx", "Canvas wide, px", 16],
                  ["canvasHeightPx", "Canvas high, px", 16],
                  ["xPx", "This part from the left, px", -16_000],
                  ["yPx", "This part from the top, px", -16_000],
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
      <Opening output={output} />
      <button
        type="button"
        onClick={onRemove}
        className="inline-flex min-h-9 items-center gap-2 self-start rounded-md bg-lifted px-3 text-[15px] hover:bg-edge"
      >
        <Trash2 aria-hidden="true" className="size-4.5" /> Take this screen away
      </button>
    </div>
  );
}

/** Link, code for a camera, and a short code to type on a device. */
function Opening({ output }: { output: Output }) {
  const { outputTokens } = useDeskData();
  const { revalidate } = useRevalidator();
  const [pairCode, setPairCode] = useState("");
  const token = outputTokens[output.id];
  const [origin, setOrigin] = useState("");
  useEffect(() => setOrigin(location.origin), []);
  const link = `${origin}/out/${token}`;
  const qr = useMemo(() => {
    if (!token || origin === "") return "";
    const code = qrcode(0, "M");
    code.addData(link);
    code.make();
    return code.createSvgTag({ cellSize: 4, margin: 8, scalable: true });
  }, [link, token, origin]);
  if (!token) return <p className="text-[15px] text-second">Its link is being made…</p>;
  return (
    <section aria-label="Open it" className="flex flex-col gap-3 rounded-lg border border-edge p-3">
      <h3 className="text-[15px] font-semibold">Open it on its device</h3>
      <div className="flex gap-3">
        <div
          className="size-32 shrink-0 overflow-hidden rounded bg-paper [&>svg]:size-full"
          role="img"
          aria-label={`Code with the link of ${output.name}`}
          // biome-ignore lint/security/noDangerouslySetInnerHtml: made by the library from our own address
          dangerouslySetInnerHTML={{ __html: qr }}
        />
        <div className="flex min-w-0 flex-col gap-2 text-[15px]">
          <a
            className="inline-flex items-center gap-1.5 text-act hover:underline"
            href={link}
            target="_blank"
            rel="noopener noreferrer"
          >
            Open here <ExternalLink aria-hidden="true" className="size-4" />
          </a>
          <button
            type="button"
            className="min-h-8 self-start rounded-md bg-lifted px-3 hover:bg-edge"
            onClick={() =>
              void postJson<{ code?: string }>("/screens-link", { kind: "pair", id: output.id }).then(
                (answer) => setPairCode(answer?.code ?? ""),
              )
            }
          >
            Short code
          </button>
          {pairCode && (
            <p>
              On the device open <span className="font-mono">{origin}/screen</span> and type{" "}
              <strong className="font-mono text-[20px] tracking-wider">{pairCode}</strong>
              <span className="block text-second">Good once, for ten minutes.</span>
            </p>
          )}
          <button
            type="button"
            title="The old link ends at once"
            className="min-h-8 self-start rounded-md bg-lifted px-3 hover:bg-edge"
            onClick={() =>
              void postJson("/screens-link", { kind: "renew", id: output.id }).then(() => void revalidate())
            }
          >
            New link
          </button>
        </div>
      </div>
    </section>
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
  const names = ["top left", "top right", "bottom right", "bottom left"];
  const isFlat = fittingMap(output.widthPx, output.heightPx, output.fitting) === undefined;
  return (
    <div>
      <p className="mb-1 text-[14px] text-second">Corners moved, px to the right and down</p>
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
          These corners cannot hold a picture; it is shown unpinned.
        </p>
      )}
    </div>
  );
}

function TextField({
  label,
  value,
  onSave,
}: {
  label: string;
  value: string;
  onSave: (value: string) => void;
}) {
  return (
    <Labelled id={`screen-${label}`} label={label}>
      <input
        id={`screen-${label}`}
        key={value}
        defaultValue={value}
        maxLength={60}
        onBlur={(event) => {
          const typed = event.target.value.trim();
          if (typed !== "" && typed !== value) onSave(typed);
        }}
        onKeyDown={(event) => event.key === "Enter" && event.currentTarget.blur()}
        className={`${fieldClass} text-[16px]`}
      />
    </Labelled>
  );
}

function NumberField({
  label,
  value,
  min,
  max,
  step = 1,
  onSave,
  onClear,
}: {
  label: string;
  value: number | null;
  min: number;
  max: number;
  step?: number;
  onSave: (value: number) => void;
  onClear?: () => void;
}) {
  const id = `number-${label.replace(/\W+/g, "-")}`;
  return (
    <Labelled id={id} label={label}>
      <input
        id={id}
        key={value}
        type="number"
        defaultValue={value ?? ""}
        min={min}
        max={max}
        step={step}
        onBlur={(event) => {
          const typed = event.target.valueAsNumber;
          if (event.target.value === "" && onClear && value !== null) onClear();
          else if (Number.isFinite(typed) && typed >= min && typed <= max && typed !== value)
            onSave(step === 1 ? Math.round(typed) : typed);
          else event.target.value = value === null ? "" : String(value);
        }}
        onKeyDown={(event) => event.key === "Enter" && event.currentTarget.blur()}
        className={`${fieldClass} px-2! text-[15px]`}
      />
    </Labelled>
  );
}

function Choice<T extends string>({
  label,
  value,
  options,
  onSave,
}: {
  label: string;
  value: T;
  options: readonly (readonly [T, string])[];
  onSave: (value: T) => void;
}) {
  const id = `choice-${label.replace(/\W+/g, "-")}`;
  return (
    <Labelled id={id} label={label}>
      <select
        id={id}
        value={value}
        onChange={(event) => onSave(event.target.value as T)}
        className={`${fieldClass} text-[15px]`}
      >
        {options.map(([option, name]) => (
          <option key={option} value={option}>
            {name}
          </option>
        ))}
      </select>
    </Labelled>
  );
}

function Check({
  label,
  value,
  onSave,
}: {
  label: string;
  value: boolean;
  onSave: (value: boolean) => void;
}) {
  return (
    <label className="flex min-h-9 items-center gap-2.5 text-[15px]">
      <input
        type="checkbox"
        checked={value}
        onChange={(event) => onSave(event.target.checked)}
        className="size-5 accent-act"
      />
      {label}
    </label>
  );
}
