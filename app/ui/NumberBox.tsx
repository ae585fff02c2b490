import { useEffect, useRef } from "react";

/** A number that is saved when the box is left, or at Enter; what is out of bounds goes back to what it was. */
export function NumberBox({
  label,
  id,
  value,
  min,
  max,
  step = 1,
  className = "w-20",
  onSave,
  onClear,
}: {
  /** For boxes without a label of their own. */
  label?: string;
  id?: string;
  value: number | null;
  min: number;
  max: number;
  step?: number;
  className?: string;
  onSave: (value: number) => void;
  /** It may be empty. */
  onClear?: () => void;
}) {
  const box = useRef<HTMLInputElement>(null);
  const written = String(value ?? "");
  useEffect(() => {
    if (box.current) box.current.value = written;
  }, [written]);
  const save = (target: HTMLInputElement) => {
    const typed = step === 1 ? Math.round(target.valueAsNumber) : target.valueAsNumber;
    if (target.value === "" && onClear) {
      if (value !== null) onClear();
    } else if (typed >= min && typed <= max) {
      if (typed !== value) onSave(typed);
    } else target.value = written;
  };
  return (
    <input
      ref={box}
      id={id}
      aria-label={label}
      type="number"
      min={min}
      max={max}
      step={step}
      defaultValue={written}
      onBlur={({ target }) => save(target)}
      onKeyDown={(event) => event.key === "Enter" && save(event.currentTarget)}
      className={`min-h-9 rounded-md border border-edge-strong bg-ground px-2 text-[15px] text-paper ${className}`}
    />
  );
}
