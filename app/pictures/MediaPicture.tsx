import { Volume2 } from "lucide-react";
import { t } from "../../core/language/t.ts";
import type { MediaInfo } from "../../core/scene/media.ts";

/** A picture, or the still of a clip, over a chequered ground where it is clear. */
export function MediaPicture({ info }: { info: MediaInfo }) {
  if (info.type === "sound")
    return (
      <span className="flex aspect-video w-full items-center justify-center rounded bg-lifted">
        <Volume2 aria-hidden="true" className="size-10 text-second" />
      </span>
    );
  const file = info.type === "picture" ? info.file : info.poster;
  return (
    <span className="chequered flex aspect-video w-full items-center justify-center overflow-hidden rounded">
      {file ? (
        <img
          src={`/media/${file}`}
          alt=""
          loading="lazy"
          decoding="async"
          className="size-full object-contain"
        />
      ) : (
        <span className="text-[14px] text-second">{t`no still`}</span>
      )}
    </span>
  );
}

export function mediaFacts(info: MediaInfo): string {
  const facts = info.type === "sound" ? [] : [`${info.widthPx}×${info.heightPx}`];
  if (info.durationMs !== null) facts.push(`${(info.durationMs / 1_000).toFixed(1)} s`);
  if (info.type === "sound") return [...facts, "sound"].join(" · ");
  facts.push(info.key ? t`keyed` : info.hasAlpha ? t`with alpha` : t`no alpha`);
  if (info.hasSound) facts.push("sound");
  if (info.isAnimated) facts.push("still");
  return facts.join(" · ");
}
