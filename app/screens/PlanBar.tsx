import { Copy, Trash2 } from "lucide-react";
import { type ReactNode, useEffect, useState } from "react";
import { t } from "../../core/language/t.ts";
import type { ScreenPlan } from "../../core/venue/plan.ts";
import { newId } from "../api/newId.ts";
import { HoldButton } from "../ui/HoldButton.tsx";

/** The plans by name: one is used, one is looked at; what every screen would become stands below before it is used. */
export function PlanBar({
  plans,
  usedId,
  hasDraft,
  shownId,
  onShow,
  onUse,
  onSave,
  onRemove,
  children,
}: {
  plans: readonly ScreenPlan[];
  usedId: string;
  /** The plan in use was changed, and is not used as it stands here. */
  hasDraft: boolean;
  shownId: string;
  onShow: (planId: string) => void;
  onUse: (planId: string) => void;
  onSave: (plan: ScreenPlan) => Promise<boolean>;
  onRemove: (planId: string) => Promise<boolean>;
  /** Other ways to look at the screens. */
  children: ReactNode;
}) {
  const shown = plans.find(({ id }) => id === shownId);
  const [name, setName] = useState(shown?.name ?? "");
  useEffect(() => setName(shown?.name ?? ""), [shown?.name]);
  const copy = async () => {
    if (!shown) return;
    const id = newId().slice(0, 20);
    if (await onSave({ ...shown, id, name: t`${shown.name}, copy` })) onShow(id);
  };
  return (
    <div className="flex shrink-0 flex-wrap items-center gap-2 border-b border-edge bg-raised px-5 py-2.5 text-[15px]">
      <span className="text-second">{t`Screen plan`}</span>
      {plans.map((plan) => (
        <button
          key={plan.id}
          type="button"
          aria-pressed={plan.id === shownId}
          onClick={() => onShow(plan.id)}
          className={`min-h-9 rounded-full border-2 px-4 ${plan.id === shownId ? "border-act bg-act-ground" : "border-edge hover:border-edge-strong"} ${plan.id === usedId ? "font-bold" : ""}`}
        >
          {plan.name}
          {plan.id === usedId && (
            <span className="ml-2 text-[14px] font-normal text-second">
              {hasDraft ? t`in use as it was` : t`in use`}
            </span>
          )}
        </button>
      ))}
      {shown && (
        <>
          <input
            aria-label={t`Name of the plan`}
            value={name}
            maxLength={60}
            onChange={(event) => setName(event.target.value)}
            onBlur={() =>
              name.trim() !== "" && name !== shown.name && void onSave({ ...shown, name: name.trim() })
            }
            onKeyDown={(event) => event.key === "Enter" && event.currentTarget.blur()}
            className="min-h-9 w-40 rounded-md border border-edge-strong bg-ground px-3"
          />
          <button
            type="button"
            aria-label={t`Copy this plan`}
            title={t`Copy this plan`}
            onClick={() => void copy()}
            className={toolClass}
          >
            <Copy aria-hidden="true" className="size-4.5" />
          </button>
          <button
            type="button"
            aria-label={t`Delete this plan`}
            title={t`Delete this plan`}
            disabled={shown.id === usedId}
            onClick={() => void onRemove(shown.id).then((done) => done && onShow(usedId))}
            className={toolClass}
          >
            <Trash2 aria-hidden="true" className="size-4.5" />
          </button>
          {children}
          {(shown.id !== usedId || hasDraft) && (
            <HoldButton
              onHeld={() => onUse(shown.id)}
              title={t`Hold for half a second; U in Run puts it back`}
              className="ml-auto min-h-10 rounded-lg border-2 border-next bg-next-ground px-4 font-bold text-next"
            >
              <span>
                {shown.id === usedId ? t`Use these changes` : t`Use “${shown.name}” on all screens`}
              </span>
            </HoldButton>
          )}
        </>
      )}
    </div>
  );
}

const toolClass =
  "grid size-9 place-content-center rounded-md bg-lifted hover:bg-edge disabled:text-quiet disabled:hover:bg-lifted";
