import { t } from "../../../../core/language/t.ts";
import { fieldClass } from "../../../ui/Labelled.tsx";
import { FieldFault } from "./FieldFault.tsx";
import type { FieldFormProps } from "./fieldForm.ts";

export function NumberField({ id, field, value, onChange }: FieldFormProps) {
  return (
    <>
      <input
        id={id}
        data-field={field.name}
        inputMode="decimal"
        value={value}
        maxLength={Math.min(60, field.maxLength)}
        placeholder={field.hint}
        onChange={({ target }) => onChange(target.value)}
        className={`${fieldClass} max-w-xs font-mono text-[18px]`}
      />
      <FieldFault
        field={field}
        value={value}
        sentence={t`This is not one number: it is shown as it is typed.`}
      />
    </>
  );
}
