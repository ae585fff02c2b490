import { useLayoutEffect, useRef, useState } from "react";
import { AIR_ACTIONS, type AirAction, findAction, type KeyMap } from "../../core/keys/keyMap.ts";
import { isTyping } from "../ui/isTyping.ts";
import type { AirActs } from "./useAirActs.ts";

/** A guarded key acts only after it was held this long. */
export const HOLD_MS = 500;

/** The keys that change the air. None of them works while a text box has the focus. @returns the action that is being held */
export function useAirKeys(map: KeyMap, acts: AirActs): AirAction | null {
  const [held, setHeld] = useState<AirAction | null>(null);
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  const current = useRef({ map, acts });
  current.current = { map, acts };

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
    const onKeyDown = (event: KeyboardEvent) => {
      if (isTyping(event.target) || event.ctrlKey || event.metaKey) return;
      const { map: keys, acts: can } = current.current;
      const digit = /^Digit([1-9])$/.exec(event.code)?.[1];
      const number = Number(digit ?? (/^[1-9]$/.test(event.key) ? event.key : 0));
      if (number > 0) {
        event.preventDefault();
        if (event.repeat) return;
        if (event.shiftKey) can.switchPlan(number - 1);
        else if (event.altKey) can.armSection(number - 1);
        else can.layerOut(number - 1);
        return;
      }
      if (event.altKey) return;
      const action = findAction(keys, event.key);
      if (!action) return;
      event.preventDefault();
      // A key kept down is one press, but for moving the arm.
      if (event.repeat && !event.key.startsWith("Arrow")) return;
      if (!AIR_ACTIONS[action].isGuarded) {
        can.act(action);
        return;
      }
      clearTimeout(timer.current);
      setHeld(action);
      timer.current = setTimeout(() => {
        current.current.acts.act(action);
        setHeld(null);
      }, HOLD_MS);
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
  }, []);
  return held;
}
