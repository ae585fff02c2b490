import { Trash2 } from "lucide-react";
import { useEffect, useState } from "react";
import { t } from "../../core/language/t.ts";
import { FRAME_RATES, type FrameRateName } from "../../core/time/timecode.ts";
import type { Output } from "../../core/venue/plan.ts";
import { smallestReadable } from "../../core/venue/seat.ts";
import { CheckBox } from "../ui/CheckBox.tsx";
import { HoldButton } from "../ui/HoldButton.tsx";
import { fieldClass, Labelled } from "../ui/Labelled.tsx";
import { Choice, NumberField, TextField } from "./fields.tsx";
import { GlassFields } from "./GlassFields.tsx";
import { OpenWays } from "./OpenWays.tsx";
import { shapeAdvice } from "./shapeAdvice.ts";
import { WallFields } from "./WallFields.tsx";

const SIZES: readonly (readonly [name: string, widthPx: number, heightPx: number])[] = [
  ["1920 × 1080", 1920, 1080],
  ["1280 × 720", 1280, 720],
  ["3840 × 2160", 3840, 2160],
  [t`1080 × 1920, portrait`, 1080, 1920],
  [t`3840 × 1080, wide wall`, 3840, 1080],
  [t`1920 × 360, ribbon`, 1920, 360],
  ["1024 × 768", 1024, 768],
];

/** A picture of the library that may stand by. */
export interface StandByPicture {
  readonly file: string;
  readonly name: string;
  readonly widthPx: number;
  readonly heightPx: number;
}

function standByOf(show: string, pictures: readonly StandByPicture[]): Output["standBy"] {
  const picture = pictures.find(({ file }) => file === show);
  if (picture) {
    const { file, widthPx, heightPx } = picture;
    return { show: "picture", file, widthPx, heightPx };
  }
  return { show: show === "nothing" ? "nothing" : "last" };
}

/** What a screen is: its size and signal, how it is put onto the glass, and the ways to open it. */
export function ScreenEditor({
  output: saved,
  pictures,
  made,
  onSave: save,
  onRemove,
}: {
  output: Output;
  /** Pictures of the library, for a stand-by. */
  pictures: readonly StandByPicture[];
  /** The sizes that templates are made for. */
  made: readonly { readonly widthPx: number; readonly heightPx: number }[];
  onSave: (output: Output) => Promise<boolean>;
  onRemove: () => void;
}) {
  // What was pressed stands at once; the server's word replaces it.
  const [output, setOutput] = useState(saved);
  useEffect(() => setOutput(saved), [saved]);
  const onSave = (next: Output) => {
    setOutput(next);
    void save(next).then((isSaved) => !isSaved && setOutput(saved));
  };
  const preset = SIZES.find(([, w, h]) => w === output.widthPx && h === output.heightPx)?.[0] ?? "";
  const advice = shapeAdvice(output, made);
  const { farthestM, pictureHeightM, standBy } = output;
  const readable =
    farthestM !== null && pictureHeightM !== null
      ? smallestReadable(farthestM, pictureHeightM, output.heightPx)
      : undefined;
  return (
    <div className="flex flex-col gap-4">
      <TextField label={t`Name`} value={output.name} onSave={(name) => onSave({ ...output, name })} />
      <Labelled id="size" label={t`Size`}>
        <select
          id="size"
          value={preset}
          onChange={(event) => {
            const size = SIZES.find(([name]) => name === event.target.value);
            if (size) onSave({ ...output, widthPx: size[1], heightPx: size[2] });
          }}
          className={`${fieldClass} text-[15px]`}
        >
          {preset === "" && <option value="">{t`other`}</option>}
          {SIZES.map(([name]) => (
            <option key={name} value={name}>
              {name}
            </option>
          ))}
        </select>
      </Labelled>
      <div className="flex gap-3 *:flex-1">
        <NumberField
          label={t`Wide, px`}
          value={output.widthPx}
          min={16}
          max={16_000}
          onSave={(widthPx) => onSave({ ...output, widthPx })}
        />
        <NumberField
          label={t`High, px`}
          value={output.heightPx}
          min={16}
          max={16_000}
          onSave={(heightPx) => onSave({ ...output, heightPx })}
        />
      </div>
      {advice && <p className="-mt-2 text-[14px] text-second">{advice}</p>}
      <div className="flex gap-3 *:flex-1">
        <Choice
          label={t`Ground`}
          value={output.backdrop}
          options={[
            ["opaque", t`black`],
            ["transparent", t`transparent`],
          ]}
          onSave={(backdrop) => onSave({ ...output, backdrop })}
        />
        <Choice
          label={t`Signal`}
          value={output.signal}
          options={[
            ["picture", t`picture`],
            ["fill", t`fill`],
            ["key", t`key`],
            ["both", t`fill and key, double wide`],
          ]}
          onSave={(signal) => onSave({ ...output, signal })}
        />
        <Choice
          label={t`Frames a second`}
          value={output.frameRate}
          options={(Object.keys(FRAME_RATES) as FrameRateName[]).map((name) => [name, name])}
          onSave={(frameRate) => onSave({ ...output, frameRate })}
        />
      </div>
      {(output.signal === "fill" || output.signal === "both") && (
        <div>
          <Choice
            label={t`Colours of the fill`}
            value={output.fillAlpha}
            options={[
              ["premultiplied", t`as over black (premultiplied)`],
              ["straight", t`undimmed by the key (straight)`],
            ]}
            onSave={(fillAlpha) => onSave({ ...output, fillAlpha })}
          />
          {output.fillAlpha === "straight" && (
            <p className="mt-1.5 text-[14px] text-second">
              {t`A straight fill is read back frame by frame: on a slow machine motion is less smooth, and clips stand still.`}
            </p>
          )}
        </div>
      )}
      <div className="flex flex-wrap gap-x-6 gap-y-2">
        <CheckBox
          label={t`Clips are heard here`}
          isOn={output.sound}
          onChange={(sound) => onSave({ ...output, sound })}
        />
        <CheckBox
          label={t`Program beneath`}
          isOn={output.program}
          onChange={(program) => onSave({ ...output, program })}
        />
      </div>
      <div className="flex gap-3 *:flex-1">
        <Choice
          label={t`Safe areas`}
          value={output.safeArea}
          options={[
            ["smpte", "SMPTE"],
            ["ebu", "EBU"],
          ]}
          onSave={(safeArea) => onSave({ ...output, safeArea })}
        />
        <NumberField
          label={t`Farthest seat, m`}
          value={output.farthestM}
          min={0.5}
          max={500}
          step={0.5}
          onSave={(farthestM) => onSave({ ...output, farthestM })}
          onClear={() => onSave({ ...output, farthestM: null })}
        />
        <NumberField
          label={t`Picture high, m`}
          value={output.pictureHeightM}
          min={0.1}
          max={100}
          step={0.1}
          onSave={(pictureHeightM) => onSave({ ...output, pictureHeightM })}
          onClear={() => onSave({ ...output, pictureHeightM: null })}
        />
      </div>
      {readable && (
        <p className="-mt-2 text-[14px] text-second">
          {t`To be read from there, capitals are at least`}{" "}
          <strong className="text-paper">{t`${Math.ceil(readable.capitalPx)} px`}</strong>{" "}
          {t`high, words set at`}{" "}
          <strong className="text-paper">{t`${Math.ceil(readable.sizePx)} px`}</strong> {t`or more.`}
        </p>
      )}
      <Choice
        label={t`Started with no server, it shows`}
        value={standBy.show === "picture" ? standBy.file : standBy.show}
        options={[
          ["last", t`the last picture it had`],
          ["nothing", t`nothing but its ground`],
          ...pictures.map(({ file, name }) => [file, name] as const),
        ]}
        onSave={(show) =>
          onSave({
            ...output,
            standBy: standByOf(show, pictures),
          })
        }
      />
      <Choice
        label={t`When all screens go to black or stand-by`}
        value={output.spared === null ? "byOutfit" : output.spared ? "spared" : "along"}
        options={[
          ["byOutfit", t`as its outfit: the stage’s own is spared`],
          ["along", t`it goes along`],
          ["spared", t`it keeps its picture`],
        ]}
        onSave={(choice) => onSave({ ...output, spared: choice === "byOutfit" ? null : choice === "spared" })}
      />
      <GlassFields output={output} onSave={onSave} />
      <WallFields output={output} onSave={onSave} />
      <OpenWays output={output} />
      <HoldButton
        onHeld={onRemove}
        title={t`Hold for half a second`}
        className="inline-flex min-h-9 items-center gap-2 self-start rounded-md bg-lifted px-3 text-[15px] hover:bg-edge"
      >
        <Trash2 aria-hidden="true" className="size-4.5" /> <span>{t`Delete this screen`}</span>
      </HoldButton>
    </div>
  );
}
