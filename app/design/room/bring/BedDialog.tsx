import { useState } from "react";
import { areaOnCanvas, type BedFit, bedDifference, withBed } from "../../../../core/design/edit/bed.ts";
import type { Rect } from "../../../../core/design/edit/objects.ts";
import { t } from "../../../../core/language/t.ts";
import type { FieldDef } from "../../../../core/scene/fieldSet.ts";
import type { MediaInfo } from "../../../../core/scene/media.ts";
import type { Template } from "../../../../core/scene/template.ts";
import { CheckBox } from "../../../ui/CheckBox.tsx";
import { actButton, BringDialog, plainButton } from "./BringDialog.tsx";

/** A picture that came into the library, and where on it there is room for words, as shares of it. */
export interface Bed {
  readonly kind: "picture";
  readonly hash: string;
  readonly info: MediaInfo;
  readonly area: Rect | null;
}

const FITS: readonly { readonly fit: BedFit; readonly words: string }[] = [
  { fit: "fill", words: t`fills the canvas; what is over is cut off` },
  { fit: "whole", words: t`whole on the canvas, with room left beside or above it` },
  { fit: "own", words: t`at its own size, in the middle` },
];

const percent = (share: number) => `${share * 100}%`;

/** How a picture lies on the canvas, and which fields lie on it. */
export function BedDialog({
  bed: { hash, info, area },
  template,
  fields,
  onClose,
  onMade,
}: {
  bed: Bed;
  template: Template;
  fields: readonly FieldDef[];
  onClose: () => void;
  onMade: (made: { readonly template: Template; readonly id: string }) => void;
}) {
  const { canvas } = template;
  const { byPx, isSame, isInProportion } = bedDifference(canvas, info);
  const isSmall = byPx.x < 0 && byPx.y < 0 && !isInProportion;
  const [fit, setFit] = useState<BedFit>(isSame || isInProportion ? "fill" : isSmall ? "own" : "whole");
  const [isBehind, setBehind] = useState(!isSmall);
  const [wanted, setWanted] = useState<ReadonlySet<string>>(
    new Set(area && !isSmall ? fields.map(({ name }) => name) : []),
  );
  const toggle = (name: string, isOn: boolean) => {
    const next = new Set(wanted);
    if (isOn) next.add(name);
    else next.delete(name);
    setWanted(next);
  };
  const lay = () =>
    onMade(
      withBed(
        template,
        { hash, name: info.name, widthPx: info.widthPx, heightPx: info.heightPx },
        { fit, isBehind },
        fields.filter(({ name }) => wanted.has(name)),
        area && areaOnCanvas(canvas, info, fit, area),
      ),
    );
  return (
    <BringDialog title={info.name} facts={sizeInWords(canvas, info)} onClose={onClose}>
      <div className="chequered relative mx-auto shrink-0 overflow-hidden rounded-md">
        <img src={`/media/${info.file}`} alt="" className="max-h-[34vh] min-h-24" />
        {area && (
          <span
            aria-hidden="true"
            className="absolute rounded-sm border-2 border-dashed border-act"
            style={{
              left: percent(area.x),
              top: percent(area.y),
              width: percent(area.width),
              height: percent(area.height),
            }}
          />
        )}
      </div>
      {!isSame && (
        <fieldset className="flex flex-col gap-1.5 text-[15px]">
          <legend className="mb-1 text-[14px] text-second">{t`It lies there`}</legend>
          {FITS.map(({ fit: each, words }) => (
            <label key={each} className="flex items-center gap-2">
              <input
                type="radio"
                name="fit"
                checked={fit === each}
                onChange={() => setFit(each)}
                className="size-4.5 accent-act"
              />
              {words}
            </label>
          ))}
        </fieldset>
      )}
      <CheckBox label={t`behind everything else, and locked`} isOn={isBehind} onChange={setBehind} />
      {fields.length > 0 && (
        <fieldset className="flex flex-col gap-0.5 text-[15px]">
          <legend className="mb-1 text-[14px] text-second">
            {area
              ? t`With these fields in the room for words that is outlined above`
              : t`No plain room for words was found on it; with these fields all the same`}
          </legend>
          {fields.map(({ name, label }) => (
            <CheckBox
              key={name}
              label={label}
              isOn={wanted.has(name)}
              onChange={(isOn) => toggle(name, isOn)}
            />
          ))}
        </fieldset>
      )}
      <div className="flex justify-end gap-2">
        <button type="button" onClick={onClose} className={plainButton}>
          {t`Leave it in the library`}
        </button>
        <button type="button" onClick={lay} className={actButton}>
          {t`Lay it on the canvas`}
        </button>
      </div>
    </BringDialog>
  );
}

/** The size of a picture held against the canvas. */
function sizeInWords(canvas: Template["canvas"], { widthPx, heightPx }: MediaInfo): string {
  const { byPx, isSame, isInProportion } = bedDifference(canvas, { widthPx, heightPx });
  const size = `${widthPx} × ${heightPx}`;
  if (isSame) return t`${size}, exactly the size of the canvas.`;
  const apart = (px: number, more: string, less: string) =>
    px === 0 ? [] : [t`${Math.abs(px)} px ${px > 0 ? more : less}`];
  const differs = [...apart(byPx.x, t`wider`, t`narrower`), ...apart(byPx.y, t`higher`, t`lower`)].join(
    t` and `,
  );
  const proportions = isInProportion
    ? t`in the same proportions`
    : t`in other proportions, so that it cannot fill it uncut`;
  return t`${size}: ${differs} than the canvas (${canvas.widthPx} × ${canvas.heightPx}), ${proportions}.`;
}
