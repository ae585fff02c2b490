import { useLayoutEffect, useRef, useState } from "react";
import type { Layer } from "../../core/screens/plan.ts";
import type { DeskStore } from "../desk/deskStore.ts";
import { isTyping } from "../ui/isTyping.ts";

/** A dangerous key acts only after it was held this long. */
export const HOLD_MS = 500;

export type HeldKey = "clear" | "clearEverything";

/** The keys that change the air. None of them works while a text box has the focus. */
export function useAirKeys(
  store: DeskStore,
  layers: readonly Layer[],
  outLayerId: string | undefined,
): HeldKey | null {
  const [held, setHeld] = useState<HeldKey | null>(null);
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  const outLayer = useRef(outLayerId);
  outLayer.current = outLayerId;

  // Before the view is painted: a key pressed as soon as it is seen must be heard.
  useLayoutEffect(() => {
    const release = () => {
      clearTimeout(timer.current);
      setHeld(null);
    };
    const onKeyUp = (event: KeyboardEvent) => {
      // Space takes: it must not press the button that has the focus as well.
      if (event.key === " " && !isTyping(event.target)) event.preventDefault();
      release();
    };
    const hold = (key: HeldKey) => {
      clearTimeout(timer.current);
      setHeld(key);
      timer.current = setTimeout(() => {
        store.press({ kind: key, how: "animated" });
        setHeld(null);
      }, HOLD_MS);
    };
    const onKeyDown = (event: KeyboardEvent) => {
      if (isTyping(event.target) || event.ctrlKey || event.metaKey || event.altKey) return;
      const act = findAction(event, store, layers, outLayer.current, hold);
      if (!act) return;
      event.preventDefault();
      // A key kept down is one press, but for moving the arm.
      if (!event.repeat || event.key.startsWith("Arrow")) act();
    };
    window.addEventListener("keydown", onKeyDown);
    window.addEventListener("keyup", onKeyUp);
    window.addEventListener("blur", release);
    return () => {
      release();
      window.removeEventListener("keydown", onKeyDown);
      window.removeEventListener("keyup", onKeyUp);
      window.removeEventListener("blur", release);
    };
  }, [store, layers]);
  return held;
}

function findAction(
  event: KeyboardEvent,
  store: DeskStore,
  layers: readonly Layer[],
  outLayerId: string | undefined,
  hold: (key: HeldKey) => void,
): (() => void) | undefined {
  const digit = /^Digit([1-9])$/.exec(event.code)?.[1];
  if (event.shiftKey && digit !== undefined)
    return () => {
      const { plans, state } = store.getSnapshot();
      const plan = plans[Number(digit) - 1];
      if (plan && plan.id !== state.plan.id)
        store.press({ kind: "switchPlan", planId: plan.id, builtOn: state.airRevision });
    };
  const layer = /^[1-9]$/.test(event.key) ? layers[Number(event.key) - 1] : undefined;
  if (layer) return () => store.press({ kind: "out", layerId: layer.id, how: "animated" });
  switch (event.key) {
    case " ":
      return () => store.take("animated");
    case "x":
    case "X":
      return () => store.take("cut");
    case "d":
    case "D":
      return () => store.take("dissolve");
    case "o":
    case "O":
      return () => outLayerId && store.press({ kind: "out", layerId: outLayerId, how: "animated" });
    case "u":
    case "U":
      return () => store.press({ kind: "undoTake" });
    case "Escape":
      return () => hold("clear");
    case "Delete":
      return () => hold("clearEverything");
    case "ArrowDown":
      return () => store.armNeighbour(1, "step");
    case "ArrowUp":
      return () => store.armNeighbour(-1, "step");
    case "ArrowRight":
      return () => store.armNeighbour(1, "cue");
    case "ArrowLeft":
      return () => store.armNeighbour(-1, "cue");
    case "Home":
      return () => store.press({ kind: "disarm" });
    default:
      return undefined;
  }
}
