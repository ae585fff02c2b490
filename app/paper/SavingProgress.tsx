import { t } from "../../core/language/t.ts";
/** How far a file is that is being made, and the way to call it off. */
export function SavingProgress({ done, of, onCancel }: { done: number; of: number; onCancel: () => void }) {
  return (
    <div role="status" className="flex items-center gap-3">
      <progress aria-label={t`Progress`} className="h-2 min-w-0 flex-1 accent-act" value={done / of} />
      <span className="tabular-nums">{t`${done} of ${of}`}</span>
      <button type="button" onClick={onCancel} className="min-h-9 rounded-md bg-lifted px-3 hover:bg-edge">
        {t`Cancel`}
      </button>
    </div>
  );
}
