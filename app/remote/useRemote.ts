import { useCallback, useEffect, useRef, useState } from "react";
import { t } from "../../core/language/t.ts";
import type { RemotePress } from "../../core/remote/remoteLink.ts";
import type { RemoteTold } from "../../core/remote/remoteView.ts";
import { newId } from "../api/newId.ts";
import { Connection, type ConnectionStatus } from "../live/connection.ts";

/** An answer that does not come within this is told as missing. */
const ANSWER_WITHIN_MS = 1_500;
const SAID_FOR_MS = 5_000;

export interface Said {
  readonly tone: "done" | "trouble";
  readonly sentence: string;
}

/**
 * A phone's end of the live channel. A press is sent at once or not at all: nothing waits for a network that comes back, and what
 * was long on its way is dropped by the server.
 */
export function useRemote(token: string, start: RemoteTold) {
  const [told, setTold] = useState(start);
  const [status, setStatus] = useState<ConnectionStatus>({ kind: "connecting" });
  const [second, setSecond] = useState<string | null>(null);
  const [said, setSaid] = useState<Said | null>(null);
  const connection = useRef<Connection>(undefined);
  const waiting = useRef(new Map<string, ReturnType<typeof setTimeout>>());
  const saidTimer = useRef<ReturnType<typeof setTimeout>>(undefined);
  const say = useCallback((next: Said) => {
    clearTimeout(saidTimer.current);
    setSaid(next);
    saidTimer.current = setTimeout(() => setSaid(null), SAID_FOR_MS);
  }, []);
  useEffect(() => {
    const windowId = newId();
    const missing = waiting.current;
    let buildId: string | undefined;
    const open = new Connection(
      () => ({ token, windowId }),
      (message) => {
        if (message.kind === "remote") {
          if (buildId !== undefined && buildId !== message.buildId) location.reload();
          buildId = message.buildId;
          const { link, screen, view } = message;
          setTold({ link, screen, view });
        } else if (message.kind === "second") setSecond(message.address);
        else if (message.kind === "fault") say({ tone: "trouble", sentence: message.sentence });
        else if (message.kind === "answer" && missing.has(message.id)) {
          clearTimeout(missing.get(message.id));
          missing.delete(message.id);
          if (message.refused === null) navigator.vibrate?.(35);
          else {
            navigator.vibrate?.([60, 50, 60]);
            say({ tone: "trouble", sentence: message.sentence ?? t`Nothing was done.` });
          }
        }
      },
      setStatus,
      { isWatchful: true },
    );
    connection.current = open;
    return () => {
      open.close();
      for (const timer of missing.values()) clearTimeout(timer);
      clearTimeout(saidTimer.current);
    };
  }, [token, say]);
  const press = useCallback(
    (what: RemotePress, seen: string) => {
      const open = connection.current;
      const id = newId();
      if (!open?.clock || !open.send({ kind: "press", id, press: what, seen, atMs: open.now() }))
        return say({
          tone: "trouble",
          sentence: t`No connection, so nothing was sent. The screens are as they were.`,
        });
      waiting.current.set(
        id,
        setTimeout(() => {
          waiting.current.delete(id);
          say({ tone: "trouble", sentence: t`No answer yet. Look at the screens before you press again.` });
        }, ANSWER_WITHIN_MS),
      );
    },
    [say],
  );
  /** Where this phone goes on when the server is gone. */
  const elsewhere = second === null ? null : `${second}/remote/${token}`;
  return { told, status, said, press, elsewhere };
}
