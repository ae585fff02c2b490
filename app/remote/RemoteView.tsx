import { WifiOff } from "lucide-react";
import { t } from "../../core/language/t.ts";
import { mayPress } from "../../core/remote/remoteLink.ts";
import type { RemoteView as RemoteState, RemoteTold } from "../../core/remote/remoteView.ts";
import type { ConnectionStatus } from "../live/connection.ts";
import { FollowScript } from "./FollowScript.tsx";
import { PressButtons } from "./PressButtons.tsx";
import { RemotePagePanel } from "./RemotePagePanel.tsx";
import { useRemote } from "./useRemote.ts";
import { useWakeLock } from "./useWakeLock.ts";

/** A phone in the hand: what is on air and next, and what its link lets it press. */
export function RemoteView({ token, start }: { token: string; start: RemoteTold }) {
  const { told, status, said, press, elsewhere } = useRemote(token, start);
  const { link, screen, view } = told;
  const isAwake = useWakeLock();
  const isOff = status.kind !== "open";
  const stillOf = { token, screen };
  return (
    <main
      data-remote={status.kind}
      className="mx-auto flex h-dvh max-w-xl flex-col gap-2.5 overflow-hidden bg-ground px-3 pt-[max(0.75rem,env(safe-area-inset-top))] pb-[max(0.75rem,env(safe-area-inset-bottom))] select-none"
    >
      <Head name={link.name} evening={view.evening} status={status} shut={view.shut} elsewhere={elsewhere} />
      {view.stageNote !== "" && (
        <p role="alert" className="rounded-lg bg-attention px-4 py-2 text-[20px] font-bold text-on-bright">
          {view.stageNote}
        </p>
      )}
      {link.view === "follow" ? (
        <FollowScript view={view} />
      ) : (
        <>
          <RemotePagePanel
            kind="now"
            page={view.now}
            isLarge={link.view === "both"}
            {...stillOf}
            others={view.others}
          />
          <RemotePagePanel kind="next" page={withoutSameNote(view)} isLarge {...stillOf} />
        </>
      )}
      {said && (
        <p role="alert" className="rounded-lg border border-attention px-3 py-2 text-[16px] text-attention">
          {said.sentence}
        </p>
      )}
      {link.can !== "look" && (
        <PressButtons
          isHeld={link.isHeld}
          isOff={isOff}
          hasNext={view.next !== null}
          mayOut={mayPress(link, "out")}
          onPress={(what) => press(what, view.seen)}
        />
      )}
      {isAwake === false && (
        <p className="text-center text-[14px] text-second">
          {t`This phone may go to sleep: set its screen to stay on for the evening.`}
        </p>
      )}
    </main>
  );
}

/** A note is of the whole cue: it is not said twice. */
const withoutSameNote = ({ now, next }: RemoteState): RemoteState["next"] =>
  next && next.note === now?.note ? { ...next, note: "" } : next;

function Head({
  name,
  evening,
  status,
  shut,
  elsewhere,
}: {
  name: string;
  evening: string;
  status: ConnectionStatus;
  shut: RemoteState["shut"];
  elsewhere: string | null;
}) {
  return (
    <header className="flex flex-none flex-col gap-1.5">
      <div className="flex items-baseline justify-between gap-3">
        <h1 className="min-w-0 truncate text-[17px] font-bold">{evening}</h1>
        <p className="shrink-0 text-[15px] text-second">{name}</p>
      </div>
      {shut && (
        <p className="hatched rounded px-3 py-1 text-[16px] font-bold">
          {t`ALL SCREENS ${shut === "black" ? t`ARE BLACK` : t`SHOW THE STAND-BY`}`}
        </p>
      )}
      {status.kind !== "open" && (
        <p
          role="alert"
          className="flex items-center gap-2.5 rounded-lg bg-attention px-3 py-2 text-[17px] font-bold text-on-bright"
        >
          <WifiOff aria-hidden="true" className="size-6 shrink-0" />
          {OFF[status.kind]}
        </p>
      )}
      {(status.kind === "lost" || status.kind === "silent") && elsewhere !== null && (
        <a
          href={elsewhere}
          className="flex min-h-12 items-center justify-center rounded-lg border border-edge-strong px-3 text-[17px] font-bold"
        >
          {t`Go to the second machine`}
        </a>
      )}
    </header>
  );
}

const OFF: Readonly<Record<Exclude<ConnectionStatus["kind"], "open">, string>> = {
  connecting: t`Connecting…`,
  silent: t`No answer. Nothing that you press is sent.`,
  lost: t`No connection. Nothing that you press is sent.`,
  refused: t`The desk has ended this link.`,
};
