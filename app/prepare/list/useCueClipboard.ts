import { useEffect, useRef } from "react";
import type { CueDoc } from "../../../core/rundown/cueDoc.ts";
import { isTyping } from "../../ui/isTyping.ts";
import { copyOf, readCopied } from "./cueClipboard.ts";

interface CueClipboard {
  readonly copied: () => readonly CueDoc[];
  readonly paste: (docs: readonly CueDoc[]) => Promise<boolean>;
  readonly cut: () => Promise<void>;
  readonly say: (sentence: string) => void;
}

/** Copies, cuts and pastes cues as text, where nobody types. */
export function useCueClipboard(clipboard: CueClipboard): void {
  const current = useRef(clipboard);
  current.current = clipboard;
  useEffect(() => {
    const onCopy = (event: ClipboardEvent) => {
      const docs = current.current.copied();
      if (isTyping(event.target) || docs.length === 0 || !window.getSelection()?.isCollapsed) return;
      event.clipboardData?.setData("text/plain", copyOf(docs));
      event.preventDefault();
      current.current.say(docs.length === 1 ? "The cue is copied." : `${docs.length} cues are copied.`);
      if (event.type === "cut") void current.current.cut();
    };
    const onPaste = (event: ClipboardEvent) => {
      if (isTyping(event.target)) return;
      const docs = readCopied(event.clipboardData?.getData("text/plain") ?? "");
      if (!docs) return;
      event.preventDefault();
      void current.current.paste(docs);
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
