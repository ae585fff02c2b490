import { useEffect, useRef } from "react";
import { tinykeys } from "tinykeys";
import { isTyping } from "./isTyping.ts";

/** What a key does, and where it is ours. */
export interface KeyAct {
  readonly run: () => void;
  /**
   * "free": where nobody types (usual); "offControls": nor a control has the focus, which keeps its own keys; "typing": only where
   * somebody types; "everywhere"; or as a view says by what has the focus.
   */
  readonly where?:
    | "free"
    | "offControls"
    | "typing"
    | "everywhere"
    | ((target: EventTarget | null) => boolean);
  /** A key kept down is one press. */
  readonly isOnce?: boolean;
}

/** By keys as tinykeys reads them: "d", "Alt+ArrowUp", "Control+z". Letters are the same with Caps Lock. */
export type KeyActs = Readonly<Record<string, KeyAct>>;

/** Fixed keys of a view. The keys that change the air are the venue's to choose: `useAirKeys`. */
export function useKeys(acts: KeyActs): void {
  const current = useRef(acts);
  current.current = acts;
  const names = Object.keys(acts).join("\n");
  useEffect(() => {
    const handlers = names.split("\n").map((keys) => [
      keys,
      (event: KeyboardEvent) => {
        const act = current.current[keys];
        if (!act || !isOurs(act, event.target)) return;
        // What closed a menu is spent.
        if (keys === "Escape" && event.defaultPrevented) return;
        event.preventDefault();
        if (!event.repeat || !act.isOnce) act.run();
      },
    ]);
    return tinykeys(window, Object.fromEntries(handlers));
  }, [names]);
}

function isOurs({ where = "free" }: KeyAct, target: EventTarget | null): boolean {
  if (typeof where === "function") return where(target);
  switch (where) {
    case "everywhere":
      return true;
    case "typing":
      return isTyping(target);
    case "free":
      return !isTyping(target);
    case "offControls":
      // A cue that is being carried by the keyboard keeps its keys too.
      return (
        !isTyping(target) &&
        !(target instanceof Element && target.closest("button, a, [role=menu], [aria-pressed=true]"))
      );
  }
}
