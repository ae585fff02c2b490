import { useSyncExternalStore } from "react";

/** Whether a media query holds; not until the page is alive, so that both renders agree. */
export function useMedia(query: string): boolean {
  return useSyncExternalStore(
    (listener) => {
      const media = matchMedia(query);
      media.addEventListener("change", listener);
      return () => media.removeEventListener("change", listener);
    },
    () => matchMedia(query).matches,
    () => false,
  );
}
