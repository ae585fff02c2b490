import { memo } from "react";
import { t } from "../../core/language/t.ts";
import { ClipBar, ClipLeft, ClipTimecode } from "../clips/ClipClock.tsx";
import { ClipControls } from "../clips/ClipControls.tsx";
import { useClips } from "../clips/useClips.ts";
import { formatLength } from "../ui/format.ts";

const AT_END = { hold: t`holds at its end`, loop: t`goes round and round`, next: "" } as const;

/** The clip that plays: what is left of it in large figures, where it is, and what is done with it. Nothing where a venue has no clips. */
export const ClipStrip = memo(function ClipStrip() {
  const { clips, play, next } = useClips();
  if (clips.length === 0 && !play) return null;
  return (
    <section
      aria-label={t`Clip`}
      className="flex h-[72px] shrink-0 items-center gap-2 border-t border-edge px-4 py-1.5"
    >
      {play ? (
        <ClipLeft play={play} className="min-w-[88px] shrink-0 text-[34px] leading-none" />
      ) : (
        <span className="min-w-[88px] shrink-0 font-mono text-[34px] leading-none text-quiet">–:––</span>
      )}
      <div className="min-w-0 flex-1">
        <p className="flex items-baseline gap-2 whitespace-nowrap">
          <strong className="min-w-0 truncate text-[15px] text-paper">
            {play ? play.title : t`No clip plays`}
          </strong>
          {play?.isPaused && !play.isOver && <span className="shrink-0 text-attention">{t`paused`}</span>}
          {play?.isOver && <span className="shrink-0 text-second">{t`over`}</span>}
        </p>
        {play ? (
          <>
            <p className="flex items-baseline gap-2 overflow-hidden text-[14px] whitespace-nowrap text-second">
              <ClipTimecode play={play} />
              <span className="truncate">
                {play.by === "player"
                  ? t`on the player`
                  : play.atEnd === "next"
                    ? next
                      ? t`then ${next.title}`
                      : t`the last one`
                    : AT_END[play.atEnd]}
              </span>
            </p>
            <ClipBar play={play} />
          </>
        ) : (
          <p className="truncate text-[14px] text-second">
            {next ? t`first: ${next.title}, ${formatLength(next.lengthMs ?? 0)}` : ""}
          </p>
        )}
      </div>
      <ClipControls />
    </section>
  );
});
