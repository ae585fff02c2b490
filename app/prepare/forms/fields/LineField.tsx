import { CleanedLine } from "../../../ui/CleanedLine.tsx";
import { fieldClass } from "../../../ui/Labelled.tsx";
import type { FieldFormProps } from "./fieldForm.ts";
import { useWordsBox } from "./useWordsBox.ts";

export function LineField(props: FieldFormProps) {
  const { box, cleaned } = useWordsBox(props);
  return (
    <>
      <input
        {...box}
        onChange={({ target }) => props.onChange(target.value)}
        className={`${fieldClass} ${props.isFirst ? "font-words text-[20px]" : "text-[16px]"}`}
      />
      <CleanedLine cleaned={cleaned} />
    </>
  );
}
