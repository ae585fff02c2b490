import { useEffect } from "react";
import { isTyping } from "../ui/isTyping.ts";

/** F opens Find where nobody types; Ctrl+F everywhere. */
export function useFindKey(open: () => void): void {
  useEffect(() => {
    const onKeyDown = (event: KeyboardEvent) => {
      if (event.key.toLowerCase() !== "f" || event.altKey || event.shiftKey) return;
      const target = event.target as HTMLElement;
      const typing = isTyping(target);
      if (!event.ctrlKey && !event.metaKey && typing) return;
      event.preventDefault();
      open();
    };
    window.addEventListener("keydown", onKeyDown);
    return () => window.removeEventListener("keydown", onKeyDown);
  }, [open]);
}
