import { Play, Repeat, Square } from "lucide-react";
import { useSyncExternalStore } from "react";
import { PHASES, type Phase } from "../../../core/design/phases.ts";
import { t } from "../../../core/language/t.ts";
import type { Playhead } from "./playhead.ts";

const WORDS: Readonly<Record<Phase, string>> = {
  enter: t`Enter`,
  stay: t`Stay`,
  change: t`Change`,
  exit: t`Exit`,
  all: t`All`,
};

/** Plays how the page comes, changes and goes, on the stage itself, before anybody else sees it. */
export function PlayBar({ playhead }: { playhead: Playhead }) {
  const { phase, isPlaying, speed, isLoop } = useSyncExternalStore(
    playhead.subscribe,
    playhead.getSnapshot,
    playhead.getSnapshot,
  );
  return (
    <fieldset className="flex items-center gap-0.5">
      <legend className="sr-only">{t`Play`}</legend>
      <Play aria-hidden="true" className="mr-1 size-4 text-second" />
      {PHASES.map((each) => (
        <button
          key={each}
          type="button"
          aria-label={t`Play: ${WORDS[each]}`}
          aria-pressed={phase === each}
          onClick={() => playhead.play(each)}
          className={buttonClass}
        >
          {WORDS[each]}
        </button>
      ))}
      <button
        type="button"
        aria-pressed={isLoop}
        aria-label={t`Play again and again`}
        title={t`Play again and again`}
        onClick={() => playhead.set({ isLoop: !isLoop })}
        className={buttonClass}
      >
        <Repeat aria-hidden="true" className="size-4" />
      </button>
      <button
        type="button"
        aria-pressed={speed === 0.5}
        aria-label={t`Half speed`}
        title={t`Half speed`}
        onClick={() => playhead.set({ speed: speed === 1 ? 0.5 : 1 })}
        className={`${buttonClass} font-mono`}
      >
        ½
      </button>
      <button
        type="button"
        aria-label={t`Back to the page as it stands`}
        title={t`Back to the page as it stands`}
        disabled={phase === null && !isPlaying}
        onClick={() => playhead.rest()}
        className={buttonClass}
      >
        <Square aria-hidden="true" className="size-4" />
      </button>
    </fieldset>
  );
}

const buttonClass =
  "flex min-h-9 min-w-9 items-center justify-center gap-1.5 rounded-md px-2 text-[15px] hover:bg-lifted disabled:text-quiet aria-pressed:bg-act-ground aria-pressed:text-act";
