import { newId } from "./newId.ts";

const WINDOW_KEY = "vesko-desk-window";

/** This window's name for the server. Loaded again it is the same window, and its acts are still its own. */
export function ownWindowId(): string {
  if (typeof window === "undefined") return newId();
  const [navigation] = performance.getEntriesByType("navigation") as PerformanceNavigationTiming[];
  const kept = navigation?.type === "reload" ? sessionStorage.getItem(WINDOW_KEY) : null;
  const id = kept ?? newId();
  sessionStorage.setItem(WINDOW_KEY, id);
  return id;
}
