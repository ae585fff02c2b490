import { t } from "../../../../core/language/t.ts";
import type { FieldFormProps } from "./fieldForm.ts";

const UNSET = "#000000";

export function ColorField({ id, field, value, onChange }: FieldFormProps) {
  return (
    <div className="flex items-center gap-3 text-[15px]">
      <input
        id={id}
        type="color"
        data-field={field.name}
        value={value || UNSET}
        onChange={({ target }) => onChange(target.value)}
        className="h-10 w-16 rounded-md border border-edge-strong bg-ground"
      />
      <span className="text-second">{value || field.hint}</span>
      {value !== "" && (
        <button
          type="button"
          onClick={() => onChange("")}
          className="min-h-9 rounded-md bg-lifted px-3 hover:bg-edge"
        >
          {t`The template’s own`}
        </button>
      )}
    </div>
  );
}
