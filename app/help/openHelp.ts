import { useSyncExternalStore } from "react";
import type { HelpPlace } from "./helpOfViews.ts";

let place: HelpPlace | null = null;
const listeners = new Set<() => void>();

/** Opens the help beside the view, at a place; null closes it. */
export function openHelp(next: HelpPlace | null): void {
  place = next;
  for (const listener of listeners) listener();
}

/** Where the help is open; null: it is not. */
export const useHelpPlace = (): HelpPlace | null =>
  useSyncExternalStore(
    (listener) => {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
    () => place,
    () => null,
  );
