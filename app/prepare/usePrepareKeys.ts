import { type KeyAct, useKeys } from "../ui/useKeys.ts";

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
  const offControls = (run: () => void): KeyAct => ({ run, where: "offControls" });
  const undo = { run: () => actions.step("undo") };
  const redo = { run: () => actions.step("redo") };
  useKeys({
    ArrowDown: offControls(() => actions.select(1)),
    ArrowUp: offControls(() => actions.select(-1)),
    "Shift+ArrowDown": offControls(() => actions.mark(1)),
    "Shift+ArrowUp": offControls(() => actions.mark(-1)),
    "Alt+ArrowDown": offControls(() => actions.move(1)),
    "Alt+ArrowUp": offControls(() => actions.move(-1)),
    Enter: offControls(actions.open),
    Delete: { run: actions.remove },
    d: { run: actions.duplicate },
    r: { run: actions.replace },
    n: { run: actions.add },
    "Control+z": undo,
    "Meta+z": undo,
    "Control+Shift+z": redo,
    "Meta+Shift+z": redo,
    "Control+y": redo,
    "Meta+y": redo,
    Escape: { run: () => (document.activeElement as HTMLElement | null)?.blur(), where: "typing" },
  });
}
