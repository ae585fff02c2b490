import { useEffect, useState } from "react";

/** Keeps the screen of a phone on while its page is seen. @returns whether it does; null until that is known */
export function useWakeLock(): boolean | null {
  const [isOn, setIsOn] = useState<boolean | null>(null);
  useEffect(() => {
    let lock: WakeLockSentinel | undefined;
    let isOver = false;
    const ask = async () => {
      if (document.visibilityState !== "visible") return;
      try {
        lock = await navigator.wakeLock?.request("screen");
        if (isOver) await lock?.release();
        else setIsOn(lock !== undefined);
      } catch {
        // Its battery is low, or the page is not over TLS: the person is told.
        if (!isOver) setIsOn(false);
      }
    };
    void ask();
    document.addEventListener("visibilitychange", ask);
    return () => {
      isOver = true;
      document.removeEventListener("visibilitychange", ask);
      void lock?.release();
    };
  }, []);
  return isOn;
}
