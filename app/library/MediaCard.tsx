import { useState } from "react";
import { t } from "../../core/language/t.ts";
import type { LibraryItem } from "../api/loaded.ts";
import { MediaPicture, mediaFacts } from "../pictures/MediaPicture.tsx";

/** Something of the library in the list; a clip plays while it is pointed at or has the focus. */
export function MediaCard({
  item: { info, folder, tags, uses },
  isChosen,
  onChoose,
}: {
  item: LibraryItem;
  isChosen: boolean;
  onChoose: () => void;
}) {
  const [isPlaying, setPlaying] = useState(false);
  const play = { onStart: () => setPlaying(true), onEnd: () => setPlaying(false) };
  return (
    <button
      type="button"
      aria-pressed={isChosen}
      onClick={onChoose}
      onPointerEnter={play.onStart}
      onPointerLeave={play.onEnd}
      onFocus={play.onStart}
      onBlur={play.onEnd}
      className={`flex h-full w-full flex-col rounded-lg border-2 p-2 text-left ${isChosen ? "border-act bg-act-ground" : "border-edge hover:border-edge-strong"}`}
    >
      <span className="relative block">
        <MediaPicture info={info} />
        {isPlaying && info.type === "video" && !info.key && (
          <video
            src={`/media/${info.file}`}
            muted
            loop
            autoPlay
            playsInline
            className="chequered pointer-events-none absolute inset-0 size-full rounded object-contain"
          />
        )}
      </span>
      <span className="mt-2 block truncate text-[15px] font-semibold">{info.name}</span>
      <span className="block font-mono text-[14px] text-second">{mediaFacts(info)}</span>
      <span className="block truncate text-[14px] text-second">
        {[saidUses(uses), folder, ...tags].filter((part) => part !== "").join(" · ")}
      </span>
    </button>
  );
}

function saidUses(uses: LibraryItem["uses"]): string {
  const cues = uses.filter(({ kind }) => kind === "cue").length;
  const templates = uses.length - cues;
  const said = [
    ...(cues > 0 ? [`${cues} ${cues === 1 ? t`cue` : t`cues`}`] : []),
    ...(templates > 0 ? [`${templates} ${templates === 1 ? t`template` : t`templates`}`] : []),
  ];
  return said.length > 0 ? t`in ${said.join(", ")}` : t`not used`;
}
