import { Minus, Plus } from "lucide-react";
import type { ColumnKindName } from "../../core/feeds/columnKinds.ts";
import { t } from "../../core/language/t.ts";
import { useTypedOver } from "../ui/useTypedOver.ts";

const LONGEST = 2_000;
const step =
  "grid size-14 shrink-0 place-content-center rounded-lg bg-lifted active:bg-edge disabled:text-quiet";

interface CellProps {
  /** For who does not see: row and column. */
  readonly label: string;
  /** Shown where there is more than one. */
  readonly column: string;
  readonly kind: ColumnKindName;
  readonly choices: readonly string[];
  readonly value: string;
  readonly isOff: boolean;
  readonly onSet: (to: string, was: string) => void;
  readonly onAdd: (by: number) => void;
}

/** One cell, with what its kind needs: plus and minus, a few choices, or a box to type in. */
export function EntryCell({ label, column, kind, choices, value, isOff, onSet, onAdd }: CellProps) {
  const offered = choices.length > 0 ? choices : kind === "yesNo" ? ["yes", "no"] : [];
  return (
    <div className="flex flex-col gap-1">
      {column !== "" && <span className="text-[15px] break-words text-second">{column}</span>}
      {offered.length > 0 ? (
        <fieldset className="flex min-w-0 flex-1 flex-wrap gap-2">
          <legend className="sr-only">{label}</legend>
          {offered.map((choice) => (
            <button
              key={choice}
              type="button"
              disabled={isOff}
              aria-pressed={choice === value}
              onClick={() => choice !== value && onSet(choice, value)}
              className="min-h-12 rounded-lg bg-lifted px-4 text-[17px] aria-pressed:bg-act aria-pressed:font-bold aria-pressed:text-on-bright"
            >
              {choice}
            </button>
          ))}
        </fieldset>
      ) : (
        <div className="flex min-w-0 flex-1 items-center gap-2">
          {kind === "number" && (
            <button
              type="button"
              aria-label={t`${label}: one less`}
              className={step}
              disabled={isOff}
              onClick={() => onAdd(-1)}
            >
              <Minus aria-hidden="true" className="size-7" />
            </button>
          )}
          <Box label={label} isNumber={kind === "number"} value={value} isOff={isOff} onSet={onSet} />
          {kind === "number" && (
            <button
              type="button"
              aria-label={t`${label}: one more`}
              className={step}
              disabled={isOff}
              onClick={() => onAdd(1)}
            >
              <Plus aria-hidden="true" className="size-7" />
            </button>
          )}
        </div>
      )}
    </div>
  );
}

function Box({
  label,
  isNumber,
  value,
  isOff,
  onSet,
}: {
  label: string;
  isNumber: boolean;
  value: string;
  isOff: boolean;
  onSet: CellProps["onSet"];
}) {
  const box = useTypedOver(value, onSet);
  return (
    <input
      {...box}
      aria-label={label}
      inputMode={isNumber ? "decimal" : "text"}
      enterKeyHint="done"
      autoComplete="off"
      maxLength={LONGEST}
      disabled={isOff}
      onFocus={({ target }) => {
        box.onFocus();
        if (isNumber) target.select();
      }}
      onKeyDown={(event) => event.key === "Enter" && event.currentTarget.blur()}
      className={`min-h-14 w-full min-w-0 rounded-lg border border-edge-strong bg-ground px-3 ${isNumber ? "text-center text-[26px] font-bold tabular-nums" : "text-[19px]"}`}
    />
  );
}
