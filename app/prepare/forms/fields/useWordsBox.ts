import type { Cleaning } from "../../../../core/words/hygiene.ts";
import { useCleanPaste } from "../../../ui/useCleanPaste.ts";
import type { FieldFormProps } from "./fieldForm.ts";

/** Names in capitals are not ours to change. */
export const KEPT: readonly Cleaning[] = ["capitals", "chords"];

/** What every box of words has: its limits, and cleaning of what is pasted. @param kept what cleaning leaves alone */
export function useWordsBox({ id, field, value, onChange }: FieldFormProps, kept = KEPT) {
  const paste = useCleanPaste(value, onChange, () => kept);
  return {
    cleaned: paste.cleaned,
    box: {
      id,
      "data-field": field.name,
      dir: "auto",
      value,
      placeholder: field.hint,
      maxLength: field.maxLength,
      spellCheck: true,
      onPaste: paste.onPaste,
    } as const,
  };
}
