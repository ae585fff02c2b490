import { useEffect, useRef, useState } from "react";
import { HexColorPicker } from "react-colorful";
import { t } from "../../core/language/t.ts";
import type { ChromaKey } from "../../core/picture/chromaKey.ts";
import type { MediaInfo } from "../../core/scene/media.ts";
import { ChromaKeyer } from "../../painters/chromaKeyer.ts";

const FRESH: ChromaKey = { color: "#14a844", tolerance: 0.3, softness: 0.2, spill: 0.8 };
const SAVE_AFTER_MS = 350;

/** Cutting a clip out of its green or blue screen, with the result beside the controls, moving. */
export function KeyControls({ info, onSave }: { info: MediaInfo; onSave: (key: ChromaKey | null) => void }) {
  const [key, setKey] = useState(info.key);
  const waiting = useRef<ReturnType<typeof setTimeout>>(undefined);
  const change = (next: ChromaKey | null) => {
    setKey(next);
    clearTimeout(waiting.current);
    waiting.current = setTimeout(() => onSave(next), SAVE_AFTER_MS);
  };
  const slider = (name: "tolerance" | "softness" | "spill", label: string) => (
    <label className="grid grid-cols-[88px_minmax(0,1fr)_40px] items-center gap-3 text-[15px]">
      {label}
      <input
        type="range"
        min={0}
        max={1}
        step={0.01}
        value={key?.[name] ?? 0}
        onChange={(event) => key && change({ ...key, [name]: event.target.valueAsNumber })}
        className="accent-act"
      />
      <span className="text-right font-mono text-[14px] text-second">
        {Math.round((key?.[name] ?? 0) * 100)}
      </span>
    </label>
  );
  return (
    <div className="flex flex-col gap-3">
      <div className="grid grid-cols-2 gap-3">
        <figure>
          <ClipPicture info={info} keyed={null} onPick={(color) => change({ ...(key ?? FRESH), color })} />
          <figcaption className="mt-1 text-[14px] text-second">
            {t`As it is. A click takes the colour there.`}
          </figcaption>
        </figure>
        <figure>
          <ClipPicture info={info} keyed={key} />
          <figcaption className="mt-1 text-[14px] text-second">
            {key ? t`Cut out` : t`Not cut out`}
          </figcaption>
        </figure>
      </div>
      {key ? (
        <div className="grid grid-cols-[180px_minmax(0,1fr)] gap-4">
          <div className="key-color">
            <HexColorPicker color={key.color} onChange={(color) => change({ ...key, color })} />
            <p className="mt-2 font-mono text-[14px]">{key.color}</p>
          </div>
          <div className="flex flex-col gap-3">
            {slider("tolerance", t`Tolerance`)}
            {slider("softness", t`Softness`)}
            {slider("spill", t`Spill`)}
            <button
              type="button"
              onClick={() => change(null)}
              className="min-h-10 self-start rounded-md bg-lifted px-4 text-[15px] hover:bg-edge"
            >
              {t`Do not cut out`}
            </button>
          </div>
        </div>
      ) : (
        <button
          type="button"
          onClick={() => change(FRESH)}
          className="min-h-10 self-start rounded-md bg-act px-4 text-[15px] font-semibold text-on-bright hover:brightness-110"
        >
          {t`Cut out a colour`}
        </button>
      )}
    </div>
  );
}

/** The clip, playing; keyed by the very code that keys it on air. */
function ClipPicture({
  info,
  keyed,
  onPick,
}: {
  info: MediaInfo;
  keyed: ChromaKey | null;
  onPick?: (color: string) => void;
}) {
  const frame = useRef<HTMLDivElement>(null);
  const settings = JSON.stringify(keyed);
  useEffect(() => {
    const root = frame.current;
    if (!root) return;
    const key = JSON.parse(settings) as ChromaKey | null;
    const video = document.createElement("video");
    video.src = `/media/${info.file}`;
    video.muted = true;
    video.loop = true;
    video.playsInline = true;
    const keyer = key ? new ChromaKeyer(video, key, () => undefined) : undefined;
    const picture = keyer?.canvas ?? video;
    picture.className = "size-full object-contain";
    root.replaceChildren(picture);
    void video.play().catch(() => undefined);
    return () => {
      keyer?.discard();
      video.removeAttribute("src");
      video.load();
    };
  }, [info.file, settings]);
  const pick = (event: React.MouseEvent) => {
    const video = frame.current?.querySelector("video");
    if (!video || !onPick) return;
    const box = video.getBoundingClientRect();
    const color = colorAt(
      video,
      (event.clientX - box.left) / box.width,
      (event.clientY - box.top) / box.height,
    );
    if (color) onPick(color);
  };
  return (
    // biome-ignore lint/a11y/noStaticElementInteractions: the colour can be chosen in the picker beside it, by keys too
    // biome-ignore lint/a11y/useKeyWithClickEvents: as above
    <div
      ref={frame}
      onClick={pick}
      className={`chequered aspect-video overflow-hidden rounded-md ${onPick ? "cursor-crosshair" : ""}`}
    />
  );
}

/** Mean colour of a few pixels of the decoded frame: files without colour tags shift, so what is decoded counts. */
function colorAt(video: HTMLVideoElement, x: number, y: number): string | undefined {
  const canvas = document.createElement("canvas");
  canvas.width = 5;
  canvas.height = 5;
  const context = canvas.getContext("2d");
  if (!context || video.videoWidth === 0) return undefined;
  context.drawImage(video, x * video.videoWidth - 2, y * video.videoHeight - 2, 5, 5, 0, 0, 5, 5);
  const { data } = context.getImageData(0, 0, 5, 5);
  const mean = [0, 1, 2].map((channel) => {
    let sum = 0;
    for (let i = channel; i < data.length; i += 4) sum += data[i] as number;
    return Math.round(sum / 25);
  });
  return `#${mean.map((value) => value.toString(16).padStart(2, "0")).join("")}`;
}
