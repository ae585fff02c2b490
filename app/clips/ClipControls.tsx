import { Pause, Play, SkipForward, Square } from "lucide-react";
import type { ReactNode } from "react";
import type { ClipDoes } from "../../core/clips/clipCommand.ts";
import { keysOf, nameOfKey } from "../../core/keys/keyMap.ts";
import { t } from "../../core/language/t.ts";
import { useDesk, useDeskStore } from "../desk/deskContext.ts";
import { useClips } from "./useClips.ts";

/** What can be done with the clip that plays: it pauses and goes on, the next begins, it stops. */
export function ClipControls() {
  const store = useDeskStore();
  const { venue } = useDesk("venue");
  const [playKey] = keysOf(venue.keys, "clip");
  const [nextKey] = keysOf(venue.keys, "nextClip");
  const { play, next } = useClips();
  const press = (does: ClipDoes) => () => store.air.press({ kind: "clip", does });
  const isOurs = play?.by === "here" && !play.isOver;
  return (
    <span className="flex shrink-0 gap-1">
      {isOurs && !play.isPaused ? (
        <Button label={t`Pause the clip`} keyName={playKey} onPress={press({ kind: "pause" })}>
          <Pause aria-hidden="true" className="size-4.5" />
        </Button>
      ) : isOurs ? (
        <Button label={t`Let the clip go on`} keyName={playKey} onPress={press({ kind: "goOn" })}>
          <Play aria-hidden="true" className="size-4.5" />
        </Button>
      ) : (
        <Button
          label={play ? t`Play “${play.title}” again` : next ? t`Play “${next.title}”` : t`Play`}
          isOff={!(play ?? next)}
          keyName={playKey}
          onPress={press({ kind: "play", clipId: play?.clipId ?? next?.id ?? "none" })}
        >
          <Play aria-hidden="true" className="size-4.5" />
        </Button>
      )}
      <Button
        label={play && next ? t`Play “${next.title}”, the next` : t`There is no next clip`}
        isOff={!play || !next}
        keyName={nextKey}
        onPress={press({ kind: "next" })}
      >
        <SkipForward aria-hidden="true" className="size-4.5" />
      </Button>
      <Button label={t`Stop the clip`} isOff={!play} onPress={press({ kind: "stop" })}>
        <Square aria-hidden="true" className="size-4.5" />
      </Button>
    </span>
  );
}

function Button({
  label,
  isOff = false,
  keyName,
  onPress,
  children,
}: {
  label: string;
  isOff?: boolean;
  keyName?: string | undefined;
  onPress: () => void;
  children: ReactNode;
}) {
  return (
    <button
      type="button"
      aria-label={label}
      title={label}
      disabled={isOff}
      onClick={onPress}
      className="flex h-13 w-9 flex-col items-center justify-center gap-1 rounded-md bg-lifted hover:bg-edge disabled:text-quiet disabled:hover:bg-lifted"
    >
      {children}
      {keyName !== undefined && <kbd>{nameOfKey(keyName)}</kbd>}
    </button>
  );
}
