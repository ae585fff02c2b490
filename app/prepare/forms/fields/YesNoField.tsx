import { CheckBox } from "../../../ui/CheckBox.tsx";
import type { FieldFormProps } from "./fieldForm.ts";

export function YesNoField({ id, field, value, onChange }: FieldFormProps) {
  return (
    <span id={id}>
      <CheckBox label={field.hint} isOn={value === "yes"} onChange={(isOn) => onChange(isOn ? "yes" : "")} />
    </span>
  );
}
