import { useEffect, useRef } from "react";
import { isTyping } from "../ui/isTyping.ts";

export interface PrepareActions {
  readonly select: (by: 1 | -1) => void;
  /** Chooses the neighbour and keeps the ones before marked. */
  readonly mark: (by: 1 | -1) => void;
  readonly move: (by: 1 | -1) => void;
  readonly duplicate: () => void;
  readonly remove: () => void;
  readonly step: (kind: "undo" | "redo") => void;
  readonly open: () => void;
  readonly add: () => void;
  readonly replace: () => void;
}

/** The keys of Prepare. In a text box only Escape is ours: everything else is typing. */
export function usePrepareKeys(actions: PrepareActions): void {
  const current = useRef(actions);
  current.current = actions;
  useEffect(() => {
    const onKeyDown = (event: KeyboardEvent) => {
      const target = event.target as HTMLElement;
      const typing = isTyping(target);
      if (typing) {
        if (event.key === "Escape") target.blur();
        return;
      }
      const act = findAction(event, target, current.current);
      if (!act) return;
      event.preventDefault();
      act();
    };
    window.addEventListener("keydown", onKeyDown);
    return () => window.removeEventListener("keydown", onKeyDown);
  }, []);
}

function findAction(
  event: KeyboardEvent,
  target: HTMLElement,
  actions: PrepareActions,
): (() => void) | undefined {
  const key = event.key.toLowerCase();
  if (event.ctrlKey || event.metaKey) {
    if (key === "z") return () => actions.step(event.shiftKey ? "redo" : "undo");
    if (key === "y") return () => actions.step("redo");
    return undefined;
  }
  // A control that has the focus keeps its own keys, and so does a cue being carried by the keyboard.
  const onControl = target.closest("button, a, [role=menu], [aria-pressed=true]") !== null;
  switch (event.key) {
    case "ArrowDown":
    case "ArrowUp": {
      if (onControl) return undefined;
      const by = event.key === "ArrowDown" ? 1 : -1;
      if (event.altKey) return () => actions.move(by);
      return event.shiftKey ? () => actions.mark(by) : () => actions.select(by);
    }
    case "Enter":
      return onControl ? undefined : actions.open;
    case "Delete":
      return actions.remove;
    case "d":
    case "D":
      return event.altKey ? undefined : actions.duplicate;
    case "r":
    case "R":
      return actions.replace;
    case "n":
    case "N":
      return actions.add;
    default:
      return undefined;
  }
}
