import type { Cleaning } from "../../../../core/words/hygiene.ts";
import { CleanedLine } from "../../../ui/CleanedLine.tsx";
import { fieldClass } from "../../../ui/Labelled.tsx";
import type { FieldFormProps } from "./fieldForm.ts";
import { KEPT, useWordsBox } from "./useWordsBox.ts";

export function LinesField({ kept = KEPT, ...props }: FieldFormProps & { kept?: readonly Cleaning[] }) {
  const { box, cleaned } = useWordsBox(props, kept);
  return (
    <>
      <textarea
        {...box}
        rows={Math.min(10, Math.max(3, props.value.split("\n").length + 1))}
        onChange={({ target }) => props.onChange(target.value)}
        className={`${fieldClass} field-sizing-content max-h-80 min-h-24 resize-y py-2 leading-normal ${props.isFirst ? "font-words text-[18px]" : "text-[16px]"}`}
      />
      <CleanedLine cleaned={cleaned} />
    </>
  );
}
