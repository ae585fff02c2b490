import { useLayoutEffect, useRef, useState } from "react";
import { type AirAction, findAction, type KeyMap } from "../../core/keys/keyMap.ts";
import { HOLD_MS } from "../ui/HoldButton.tsx";
import { takesText } from "../ui/isTyping.ts";
import { pads } from "./pads.ts";
import type { AirActs } from "./useAirActs.ts";

/** What a key event asks for. */
type Wish =
  | { readonly kind: "action"; readonly action: AirAction }
  | { readonly kind: "plan"; readonly index: number }
  | { readonly kind: "section"; readonly index: number };

/**
 * The keys that change the air. While a text box has the focus only chords do: Ctrl+Enter takes, Ctrl+Shift and an action's key
 * does that, Ctrl+Alt and an arrow moves the arm.
 * @param onlyChords where plain keys mean something else
 * @param onPad a key of a pad went down that has no action
 * @returns the action that is being held
 */
export function useAirKeys(
  map: KeyMap,
  acts: AirActs,
  onlyChords = false,
  onPad?: (key: string) => void,
): AirAction | null {
  const [held, setHeld] = useState<AirAction | null>(null);
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  const current = useRef({ map, acts, onlyChords, onPad });
  current.current = { map, acts, onlyChords, onPad };

  // Before the view is painted: a key pressed as soon as it is seen must be heard.
  useLayoutEffect(() => {
    const release = () => {
      clearTimeout(timer.current);
      setHeld(null);
    };
    const onKeyUp = (event: KeyboardEvent) => {
      // Space takes: it must not press the button that has the focus as well.
      if (event.key === " " && !current.current.onlyChords && !takesText(event.target))
        event.preventDefault();
      release();
    };
    const onKeyDown = (event: KeyboardEvent) => {
      if (event.defaultPrevented) return;
      const { map: keys, acts: can, onlyChords: chords } = current.current;
      const wish =
        event.ctrlKey || event.metaKey
          ? chordOf(keys, event)
          : chords || takesText(event.target)
            ? undefined
            : wishOf(keys, event);
      if (!wish) return;
      event.preventDefault();
      // A key kept down is one press, but for moving the arm.
      if (event.repeat && !event.key.startsWith("Arrow")) return;
      if (wish.kind === "plan") can.switchPlan(wish.index);
      else if (wish.kind === "section") can.armSection(wish.index);
      else press(wish.action);
    };
    const press = (action: AirAction) => {
      if (!current.current.acts.isGuarded(action)) return current.current.acts.act(action);
      clearTimeout(timer.current);
      setHeld(action);
      timer.current = setTimeout(() => {
        current.current.acts.act(action);
        setHeld(null);
      }, HOLD_MS);
    };
    const stopPads = pads.onPress(({ key, isDown }) => {
      if (!isDown) return release();
      const action = findAction(current.current.map, key);
      if (action) press(action);
      else current.current.onPad?.(key);
    });
    window.addEventListener("keydown", onKeyDown);
    window.addEventListener("keyup", onKeyUp);
    window.addEventListener("blur", release);
    return () => {
      release();
      stopPads();
      window.removeEventListener("keydown", onKeyDown);
      window.removeEventListener("keyup", onKeyUp);
      window.removeEventListener("blur", release);
    };
  }, []);
  return held;
}

/** The digit of a key, whatever the keyboard's language makes of it with Shift. */
function digitOf({ code, key }: KeyboardEvent): number {
  return Number(/^Digit([1-9])$/.exec(code)?.[1] ?? (/^[1-9]$/.test(key) ? key : 0));
}

const asWish = (action: AirAction | undefined): Wish | undefined => action && { kind: "action", action };

function wishOf(map: KeyMap, event: KeyboardEvent): Wish | undefined {
  const digit = digitOf(event);
  if (digit > 0 && event.shiftKey) return { kind: "plan", index: digit - 1 };
  if (digit > 0 && event.altKey) return { kind: "section", index: digit - 1 };
  if (event.altKey) return undefined;
  return asWish(findAction(map, digit > 0 ? `${digit}` : event.key));
}

function chordOf(map: KeyMap, event: KeyboardEvent): Wish | undefined {
  const { key, shiftKey, altKey } = event;
  if (key === "Enter" && !altKey && !shiftKey) return asWish("take");
  if (altKey && key.startsWith("Arrow")) return asWish(findAction(map, key));
  if (!shiftKey || altKey) return undefined;
  const digit = digitOf(event);
  if (digit > 0) return asWish(findAction(map, `${digit}`));
  return key.length === 1 ? asWish(findAction(map, key)) : undefined;
}
