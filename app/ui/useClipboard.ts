import { useEffect, useRef } from "react";
import { isTyping } from "./isTyping.ts";

export interface Clipboard {
  /** What is copied now, as text; empty: nothing is. */
  readonly copied: () => string;
  /** It is on the clipboard. */
  readonly onCopied: (isCut: boolean) => void;
  /** @returns whether the text was anything for this view */
  readonly paste: (text: string) => boolean;
}

/** Copies, cuts and pastes things as text, where nobody types: so they go into other shows and other programs too. */
export function useClipboard(clipboard: Clipboard): void {
  const current = useRef(clipboard);
  current.current = clipboard;
  useEffect(() => {
    const onCopy = (event: ClipboardEvent) => {
      if (isTyping(event.target) || !window.getSelection()?.isCollapsed) return;
      const text = current.current.copied();
      if (text === "") return;
      event.clipboardData?.setData("text/plain", text);
      event.preventDefault();
      current.current.onCopied(event.type === "cut");
    };
    const onPaste = (event: ClipboardEvent) => {
      if (isTyping(event.target)) return;
      if (current.current.paste(event.clipboardData?.getData("text/plain") ?? "")) event.preventDefault();
    };
    document.addEventListener("copy", onCopy);
    document.addEventListener("cut", onCopy);
    document.addEventListener("paste", onPaste);
    return () => {
      document.removeEventListener("copy", onCopy);
      document.removeEventListener("cut", onCopy);
      document.removeEventListener("paste", onPaste);
    };
  }, []);
}
