/** A time of day, HH:MM, that is saved when the box is left, or at Enter; it may be empty. */
export function TimeBox({
  label,
  time,
  className = "",
  onSave,
}: {
  label: string;
  time: string;
  className?: string;
  onSave: (time: string) => void;
}) {
  const save = (typed: string) => {
    if (typed !== time) onSave(typed);
  };
  return (
    <input
      key={time}
      aria-label={label}
      type="time"
      defaultValue={time}
      onBlur={({ target }) => save(target.value)}
      onKeyDown={(event) => event.key === "Enter" && save(event.currentTarget.value)}
      className={`min-h-9 rounded-md border border-edge-strong bg-ground px-2 font-mono text-[15px] text-paper ${className}`}
    />
  );
}
