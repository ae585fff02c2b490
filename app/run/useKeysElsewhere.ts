import { useEffect, useState } from "react";
import { t } from "../../core/language/t.ts";
import { takesText } from "../ui/isTyping.ts";

/** What has the keys in place of the air, in a word or two; null while they are the air's. */
export function useKeysElsewhere(): string | null {
  const [name, setName] = useState<string | null>(null);
  useEffect(() => {
    const look = () => {
      const element = document.activeElement;
      if (!takesText(element)) return setName(null);
      const label =
        element?.closest("[data-own-keys]")?.getAttribute("data-own-keys") ||
        element?.getAttribute("aria-label") ||
        (element instanceof HTMLInputElement || element instanceof HTMLTextAreaElement
          ? element.labels?.[0]?.textContent?.trim()
          : "");
      setName(label ? `“${label.slice(0, 40)}”` : t`a text box`);
    };
    const later = () => setTimeout(look, 0);
    document.addEventListener("focusin", look);
    document.addEventListener("focusout", later);
    look();
    return () => {
      document.removeEventListener("focusin", look);
      document.removeEventListener("focusout", later);
    };
  }, []);
  return name;
}
