import { fieldClass } from "../../../ui/Labelled.tsx";
import type { FieldFormProps } from "./fieldForm.ts";

export function ChoiceField({ id, field, value, onChange }: FieldFormProps) {
  return (
    <select
      id={id}
      data-field={field.name}
      value={value || field.usual || ""}
      onChange={({ target }) => onChange(target.value)}
      className={`${fieldClass} max-w-md text-[16px]`}
    >
      {(field.choices ?? []).map(({ value: choice, label }) => (
        <option key={choice} value={choice}>
          {label}
        </option>
      ))}
    </select>
  );
}
