import { useState } from "react";
import { leadingColors } from "../../../core/color/leadingColors.ts";
import { t } from "../../../core/language/t.ts";
import type { Sample } from "../../api/loaded.ts";
import { boxClass, smallButton } from "../room/properties/styles.ts";

/** A picture is looked at no larger than this, px. */
const LOOKED_AT_PX = 160;

/** Takes the two leading colours of a picture of the library, such as the venue's mark. */
export function PictureColors({
  pictures,
  onChoose,
}: {
  pictures: readonly Sample[];
  onChoose: (accent: string, second: string | undefined) => void;
}) {
  const [found, setFound] = useState<readonly string[] | "unreadable">();
  const all = pictures.filter(({ info }) => info.type === "picture");
  const look = async (hash: string) => {
    const sample = all.find((each) => each.hash === hash);
    if (sample?.info.type !== "picture") return;
    try {
      setFound(leadingColors(await pixelsOf(`/media/${sample.info.file}`), 2));
    } catch {
      setFound("unreadable");
    }
  };
  if (all.length === 0)
    return (
      <p className="text-[14px] text-second">
        {t`Bring in a picture of the venue’s mark, in Material, to take its colours.`}
      </p>
    );
  const [accent, second] = Array.isArray(found) ? found : [];
  return (
    <div className="flex flex-col gap-1.5 text-[14px]">
      <label className="text-second">
        {t`Colours of a picture`}
        <select
          defaultValue=""
          onChange={({ target }) => void look(target.value)}
          className={`${boxClass} mt-0.5`}
        >
          <option value="" disabled>
            {t`choose one`}
          </option>
          {all.map(({ hash, info }) => (
            <option key={hash} value={hash}>
              {info.name}
            </option>
          ))}
        </select>
      </label>
      {found === "unreadable" && <p className="text-attention">{t`That picture could not be read.`}</p>}
      {Array.isArray(found) && accent === undefined && (
        <p>{t`It is clear all over: there is no colour in it.`}</p>
      )}
      {accent !== undefined && (
        <span className="flex flex-wrap items-center gap-1.5">
          {[accent, second].map(
            (color) =>
              color && (
                <span
                  key={color}
                  className="size-8 rounded-md border border-edge-strong"
                  style={{ background: color }}
                />
              ),
          )}
          <button type="button" onClick={() => onChoose(accent, second)} className={smallButton}>
            {t`Use as main${second === undefined ? "" : t` and second`} colour`}
          </button>
          {second !== undefined && (
            <button type="button" onClick={() => onChoose(second, accent)} className={smallButton}>
              {t`the other way round`}
            </button>
          )}
        </span>
      )}
    </div>
  );
}

async function pixelsOf(address: string): Promise<Uint8ClampedArray> {
  const picture = new Image();
  picture.src = address;
  await picture.decode();
  const scale = Math.min(1, LOOKED_AT_PX / Math.max(picture.naturalWidth, picture.naturalHeight));
  const width = Math.max(1, Math.round(picture.naturalWidth * scale));
  const height = Math.max(1, Math.round(picture.naturalHeight * scale));
  const canvas = Object.assign(document.createElement("canvas"), { width, height });
  const context = canvas.getContext("2d");
  if (!context) throw new Error("no 2D context");
  context.drawImage(picture, 0, 0, width, height);
  return context.getImageData(0, 0, width, height).data;
}
