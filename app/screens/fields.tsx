import { fieldClass, Labelled } from "../ui/Labelled.tsx";
import { NumberBox } from "../ui/NumberBox.tsx";

export function TextField({
  label,
  value,
  onSave,
}: {
  label: string;
  value: string;
  onSave: (value: string) => void;
}) {
  return (
    <Labelled id={`screen-${label}`} label={label}>
      <input
        id={`screen-${label}`}
        key={value}
        defaultValue={value}
        maxLength={60}
        onBlur={(event) => {
          const typed = event.target.value.trim();
          if (typed !== "" && typed !== value) onSave(typed);
        }}
        onKeyDown={(event) => event.key === "Enter" && event.currentTarget.blur()}
        className={`${fieldClass} text-[16px]`}
      />
    </Labelled>
  );
}

export function NumberField({
  label,
  value,
  min,
  max,
  step = 1,
  onSave,
  onClear,
}: {
  label: string;
  value: number | null;
  min: number;
  max: number;
  step?: number;
  onSave: (value: number) => void;
  onClear?: () => void;
}) {
  const id = `number-${label.replace(/\W+/g, "-")}`;
  return (
    <Labelled id={id} label={label}>
      <NumberBox
        id={id}
        value={value}
        min={min}
        max={max}
        step={step}
        onSave={onSave}
        {...(onClear && { onClear })}
        className="w-full"
      />
    </Labelled>
  );
}

export function Choice<T extends string>({
  label,
  value,
  options,
  onSave,
}: {
  label: string;
  value: T;
  options: readonly (readonly [T, string])[];
  onSave: (value: T) => void;
}) {
  const id = `choice-${label.replace(/\W+/g, "-")}`;
  return (
    <Labelled id={id} label={label}>
      <select
        id={id}
        value={value}
        onChange={(event) => onSave(event.target.value as T)}
        className={`${fieldClass} text-[15px]`}
      >
        {options.map(([option, name]) => (
          <option key={option} value={option}>
            {name}
          </option>
        ))}
      </select>
    </Labelled>
  );
}
