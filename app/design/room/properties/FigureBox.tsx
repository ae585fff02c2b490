import { useEffect, useRef, useState } from "react";
import { readFigure } from "../../../../core/design/edit/readFigure.ts";
import { t } from "../../../../core/language/t.ts";

/** A figure that may be typed as a sum, a change or a share; what cannot be read goes back to what it was, and says so. */
export function FigureBox({
  id,
  label,
  value,
  min = null,
  max = null,
  whole,
  isWhole = false,
  unit = null,
  onSave,
}: {
  id?: string;
  label?: string;
  value: number;
  min?: number | null;
  max?: number | null;
  /** What a hundred per cent are. */
  whole?: number;
  isWhole?: boolean;
  unit?: string | null;
  onSave: (value: number) => void;
}) {
  const box = useRef<HTMLInputElement>(null);
  const [problem, setProblem] = useState("");
  const written = String(Math.round(value * 1_000) / 1_000);
  useEffect(() => {
    if (box.current) box.current.value = written;
  }, [written]);
  const save = (target: HTMLInputElement) => {
    if (target.value === written) return setProblem("");
    const read = readFigure(target.value, value, whole);
    if (read === undefined) {
      setProblem(t`“${target.value.slice(0, 20)}” is no figure`);
      target.value = written;
      return;
    }
    const kept = Math.min(Math.max(isWhole ? Math.round(read) : read, min ?? -Infinity), max ?? Infinity);
    setProblem(kept === read || isWhole ? "" : t`from ${min} to ${max}`);
    target.value = String(Math.round(kept * 1_000) / 1_000);
    if (kept !== value) onSave(kept);
  };
  const nudge = (by: number) => {
    const next = Math.min(Math.max(value + by, min ?? -Infinity), max ?? Infinity);
    if (next !== value) onSave(next);
  };
  const step = max !== null && max - (min ?? 0) <= 2 ? 0.05 : 1;
  return (
    <span className="block min-w-0">
      <span className="flex items-center rounded-md border border-edge-strong bg-ground focus-within:outline-2 focus-within:outline-act">
        <input
          ref={box}
          id={id}
          aria-label={label}
          inputMode="decimal"
          defaultValue={written}
          aria-invalid={problem !== ""}
          onFocus={({ target }) => target.select()}
          onBlur={({ target }) => save(target)}
          onKeyDown={(event) => {
            if (event.key === "Enter") save(event.currentTarget);
            if (event.key !== "ArrowUp" && event.key !== "ArrowDown") return;
            event.preventDefault();
            nudge((event.key === "ArrowUp" ? step : -step) * (event.shiftKey ? 10 : 1));
          }}
          className="min-h-8 w-full min-w-0 bg-transparent px-2 font-mono text-[14px] text-paper outline-none"
        />
        {unit && <span className="shrink-0 pr-2 text-[14px] text-second">{unit}</span>}
      </span>
      {problem && (
        <span role="status" className="block text-[14px] text-attention">
          {problem}
        </span>
      )}
    </span>
  );
}
