import { describeCountdown } from "../../../../core/figures/describeCountdown.ts";
import { t } from "../../../../core/language/t.ts";
import { useLocale } from "../../../desk/useLocale.ts";
import { fieldClass } from "../../../ui/Labelled.tsx";
import { FieldFault } from "./FieldFault.tsx";
import type { FieldFormProps } from "./fieldForm.ts";

export function TimeField({ id, field, value, onChange }: FieldFormProps) {
  const { language } = useLocale();
  const read = describeCountdown(value, language);
  return (
    <>
      <input
        id={id}
        data-field={field.name}
        value={value}
        maxLength={Math.min(40, field.maxLength)}
        placeholder={field.hint}
        onChange={({ target }) => onChange(target.value)}
        className={`${fieldClass} font-mono text-[18px]`}
      />
      {read && <p className="mt-1 text-[14px] text-second">{read}</p>}
      <FieldFault
        field={field}
        value={value}
        sentence={t`This is neither a time nor a length, so it would stand still. Type 19:00, 24 Dec 18:00 or 5 min.`}
      />
    </>
  );
}
