import { useEffect, useRef } from "react";
import { readTimeOfDay } from "../../core/time/timeOfDay.ts";
import { formatPlanned } from "../ui/format.ts";
import { useLocale } from "./useLocale.ts";

/**
 * A time of day as the venue's language writes it, whatever the browser's language; typed by 24 or by 12 hours; saved when the box
 * is left, or at Enter; what is no time goes back to what it was.
 */
export function TimeBox({
  label,
  id,
  time,
  isToTheSecond = false,
  className = isToTheSecond ? "w-42" : "w-28",
  onSave,
}: {
  /** For boxes without a label of their own. */
  label?: string;
  id?: string;
  /** HH:MM, or HH:MM:SS; empty when not said. */
  time: string;
  /** It holds seconds, and may not be empty. */
  isToTheSecond?: boolean;
  className?: string;
  onSave: (time: string) => void;
}) {
  const box = useRef<HTMLInputElement>(null);
  const { language } = useLocale();
  const written = formatPlanned(time, language);
  useEffect(() => {
    if (box.current) box.current.value = written;
  }, [written]);
  const save = (target: HTMLInputElement) => {
    const typed = target.value.trim();
    const read = typed === "" && !isToTheSecond ? "" : readTimeOfDay(typed, isToTheSecond);
    target.value = read === undefined ? written : formatPlanned(read, language);
    if (read !== undefined && read !== time) onSave(read);
  };
  return (
    <input
      ref={box}
      id={id}
      aria-label={label}
      type="text"
      inputMode="numeric"
      autoComplete="off"
      placeholder={isToTheSecond ? "hh:mm:ss" : "hh:mm"}
      maxLength={20}
      defaultValue={written}
      onBlur={({ target }) => save(target)}
      onKeyDown={(event) => event.key === "Enter" && save(event.currentTarget)}
      className={`min-h-9 rounded-md border border-edge-strong bg-ground px-2 font-mono text-[15px] text-paper placeholder:text-quiet ${className}`}
    />
  );
}
