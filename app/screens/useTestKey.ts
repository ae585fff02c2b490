import { useEffect } from "react";
import type { DeskStore } from "../desk/deskStore.ts";
import { isTyping } from "../ui/isTyping.ts";

/** T shows bars on the chosen screen or takes its test picture away, Shift+T on all of them. */
export function useTestKey(store: DeskStore, chosenId: string | undefined): void {
  useEffect(() => {
    const onKeyDown = (event: KeyboardEvent) => {
      if (isTyping(event.target) || event.repeat || event.ctrlKey || event.metaKey || event.altKey) return;
      if (event.key !== "t" && event.key !== "T") return;
      const { tests } = store.getSnapshot().state;
      const outputIds = event.shiftKey ? null : chosenId === undefined ? [] : [chosenId];
      const isOn = outputIds === null ? Object.keys(tests).length > 0 : outputIds.some((id) => tests[id]);
      store.press({ kind: "test", picture: isOn ? null : "bars", outputIds });
      event.preventDefault();
    };
    window.addEventListener("keydown", onKeyDown);
    return () => window.removeEventListener("keydown", onKeyDown);
  }, [store, chosenId]);
}
