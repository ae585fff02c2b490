/** A box to tick, with its name beside it. */
export function CheckBox({
  label,
  isOn,
  onChange,
}: {
  label: string;
  isOn: boolean;
  onChange: (isOn: boolean) => void;
}) {
  return (
    <label className="flex min-h-9 items-center gap-2.5 text-[15px]">
      <input
        type="checkbox"
        checked={isOn}
        onChange={(event) => onChange(event.target.checked)}
        className="size-5 accent-act"
      />
      {label}
    </label>
  );
}
