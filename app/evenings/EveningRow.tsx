import { useState } from "react";
import { t } from "../../core/language/t.ts";
import type { EveningEdit, EveningFields, ListedEvening } from "../../core/rundown/evening.ts";
import { TimeBox } from "../desk/TimeBox.tsx";

const boxClass = "min-h-9 rounded-md border border-edge-strong bg-ground px-3 text-paper";
const buttonClass = "min-h-9 rounded-md bg-lifted px-3 text-[15px] hover:bg-edge aria-pressed:text-act";

/** One evening: its name, day and start, edited where they stand, and what can be done with it. */
export function EveningRow({
  evening,
  isOpen,
  isRunning,
  isTaken,
  onEdit,
  onTake,
}: {
  evening: ListedEvening;
  isOpen: boolean;
  /** Something of the open evening was taken already. */
  isRunning: boolean;
  /** It is being taken for another day. */
  isTaken: boolean;
  onEdit: (edit: EveningEdit) => Promise<boolean>;
  onTake: () => void;
}) {
  const { id: eveningId, name, day, startsAt, endsAt, cues, isDeleted } = evening;
  const [isAsked, setAsked] = useState(false);
  const change = (part: Partial<EveningFields>) =>
    void onEdit({ kind: "change", eveningId, fields: { name, day, startsAt, endsAt, ...part } });
  const open = () => {
    if (isRunning && !isAsked) setAsked(true);
    else void onEdit({ kind: "open", eveningId }).then(() => setAsked(false));
  };
  if (isDeleted)
    return (
      <li className="flex items-center gap-4 rounded-lg border border-edge px-4 py-2.5 text-[15px] text-second">
        <span className="truncate">{t`${name}, ${cues} cues`}</span>
        <button
          type="button"
          aria-label={t`Put ${name} back`}
          onClick={() => void onEdit({ kind: "restore", eveningId })}
          className={`${buttonClass} ml-auto`}
        >
          {t`Put back`}
        </button>
      </li>
    );
  return (
    <li
      aria-label={name}
      aria-current={isOpen || undefined}
      className={`rounded-lg border px-4 py-3 ${isOpen ? "border-act" : "border-edge"}`}
    >
      <div className="flex items-center gap-2.5">
        <input
          key={name}
          aria-label={t`Name of the evening`}
          defaultValue={name}
          maxLength={120}
          onBlur={({ target }) => {
            const typed = target.value.trim();
            if (typed === "") target.value = name;
            else if (typed !== name) change({ name: typed });
          }}
          onKeyDown={(event) => event.key === "Enter" && event.currentTarget.blur()}
          className={`${boxClass} min-w-0 flex-1 text-[16px] font-semibold`}
        />
        <button
          type="button"
          aria-pressed={isTaken}
          disabled={cues === 0}
          onClick={onTake}
          className={`${buttonClass} disabled:text-quiet`}
        >
          {t`Duplicate`}
        </button>
        {!isOpen && (
          <button
            type="button"
            aria-label={t`Delete ${name}`}
            onClick={() => void onEdit({ kind: "remove", eveningId })}
            className={buttonClass}
          >
            {t`Delete`}
          </button>
        )}
      </div>
      <div className="mt-2.5 flex flex-wrap items-center gap-2.5 text-[15px] text-second">
        {isOpen ? (
          <strong className="text-act">{t`Open now`}</strong>
        ) : (
          <button type="button" onClick={open} className={`${buttonClass} text-paper`}>
            {isAsked ? t`Open it all the same` : t`Open`}
          </button>
        )}
        <span>
          {cues} {cues === 1 ? t`cue` : t`cues`}
        </span>
        <input
          key={day}
          aria-label={t`Day`}
          type="date"
          defaultValue={day}
          onBlur={({ target }) => target.value !== day && change({ day: target.value })}
          className={`${boxClass} ml-auto text-[15px]`}
        />
        {t`begins`}
        <TimeBox label={t`Begins at`} time={startsAt} onSave={(time) => change({ startsAt: time })} />
        <span>{t`ends`}</span>
        <TimeBox label={t`Ends at`} time={endsAt} onSave={(time) => change({ endsAt: time })} />
      </div>
      {isAsked && (
        <p className="mt-2 text-[15px] text-attention">
          {t`The script changes on every desk. The screens keep what they show.`}
        </p>
      )}
    </li>
  );
}
