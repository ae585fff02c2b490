import { t } from "../../core/language/t.ts";
import { useDesk, useDeskStore } from "../desk/deskContext.ts";

/** Plans that have a key of their own. */
export const MOST_PLAN_KEYS = 9;

/**
 * The screen plans. One that is looked at is shown below, beside what is on air, before it is used; “use it”, or its key at any
 * time, switches all screens to it. What is next stays as it is.
 */
export function PlanChips({
  shownId,
  onShow,
}: {
  shownId: string | null;
  onShow: (planId: string | null) => void;
}) {
  const store = useDeskStore();
  const { plans, state } = useDesk("plans", "state");
  const shown = plans.find(({ id }) => id === shownId);
  return (
    <div className="flex min-w-0 flex-wrap items-center gap-1.5 text-[14px]">
      <span className="text-second">{t`Screen plan`}</span>
      {plans.map(({ id, name }, at) => {
        const isUsed = id === state.plan.id;
        return (
          <button
            key={id}
            type="button"
            aria-pressed={isUsed || id === shownId}
            title={isUsed ? t`In use` : t`See what every screen would become`}
            onClick={() => onShow(isUsed || id === shownId ? null : id)}
            className={`flex min-h-8 items-center gap-1.5 rounded-full border px-3 ${
              isUsed
                ? "border-edge-strong font-semibold text-paper"
                : id === shownId
                  ? "border-2 border-dashed border-next text-paper"
                  : "border-edge text-second hover:border-edge-strong"
            }`}
          >
            {name}
            {at < MOST_PLAN_KEYS && plans.length > 1 && <kbd>⇧{at + 1}</kbd>}
          </button>
        );
      })}
      {shown && shown.id !== state.plan.id && (
        <button
          type="button"
          onClick={() => {
            store.air.press({ kind: "switchPlan", planId: shown.id, builtOn: state.airRevision });
            onShow(null);
          }}
          className="min-h-8 rounded-md bg-next px-2.5 font-bold text-on-bright"
        >
          {t`Use it`}
        </button>
      )}
    </div>
  );
}
