import { type ClipboardEvent, useState } from "react";
import { type Cleaning, cleanPasted, describeCleaning } from "../../core/words/hygiene.ts";

/** What a paste was cleaned of, and the way back. */
export interface CleanedPaste {
  readonly sentence: string;
  readonly putBack: () => void;
  readonly dismiss: () => void;
}

/**
 * Cleans what is pasted into a text box, and keeps it as it was pasted: one press puts that back.
 * @param keep what is left alone
 */
export function useCleanPaste(
  value: string,
  onChange: (value: string) => void,
  keep: (raw: string) => readonly Cleaning[] = () => [],
): {
  readonly onPaste: (event: ClipboardEvent<HTMLTextAreaElement | HTMLInputElement>) => void;
  readonly cleaned: CleanedPaste | null;
} {
  const [last, setLast] = useState<{ raw: string; clean: string; sentence: string } | null>(null);
  const onPaste = (event: ClipboardEvent<HTMLTextAreaElement | HTMLInputElement>) => {
    if (event.defaultPrevented) return;
    const raw = event.clipboardData.getData("text/plain");
    const cleaned = cleanPasted(raw, keep(raw));
    if (cleaned.done.length === 0) {
      setLast(null);
      return;
    }
    event.preventDefault();
    const box = event.currentTarget;
    const isLine = box.tagName === "INPUT";
    const clean = isLine ? cleaned.text.replace(/\n+/g, " ") : cleaned.text;
    const { selectionStart, selectionEnd } = box;
    const from = selectionStart ?? value.length;
    // As typed, so that the browser's own undo knows of it; where it cannot, the value is set.
    if (!document.execCommand("insertText", false, clean))
      onChange(value.slice(0, from) + clean + value.slice(selectionEnd ?? from));
    setLast({ raw: isLine ? raw.replace(/[\r\n]+/g, " ") : raw, clean, sentence: describeCleaning(cleaned) });
  };
  return {
    onPaste,
    cleaned:
      last && value.includes(last.clean)
        ? {
            sentence: last.sentence,
            putBack: () => {
              onChange(value.replace(last.clean, () => last.raw));
              setLast(null);
            },
            dismiss: () => setLast(null),
          }
        : null,
  };
}
