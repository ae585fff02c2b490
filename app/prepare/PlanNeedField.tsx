import type { PlanNeed } from "../../core/rundown/cueDoc.ts";
import { useDesk } from "../desk/deskContext.ts";

/** The screen plan a cue is made for, and what a take under another one does. */
export function PlanNeedField({
  need,
  onChange,
}: {
  need: PlanNeed | null;
  onChange: (need: PlanNeed | null) => void;
}) {
  const { plans } = useDesk();
  if (plans.length < 2 && !need) return null;
  const isGone = need !== null && !plans.some(({ id }) => id === need.id);
  return (
    <p className="flex flex-wrap items-center gap-2.5 text-[15px] text-second">
      Screen plan
      <select
        aria-label="Screen plan of this cue"
        value={need?.id ?? ""}
        onChange={(event) =>
          onChange(
            event.target.value === ""
              ? null
              : { id: event.target.value, otherwise: need?.otherwise ?? "switch" },
          )
        }
        className="min-h-9 rounded-md border border-edge-strong bg-ground px-2 text-paper"
      >
        <option value="">any</option>
        {plans.map(({ id, name }) => (
          <option key={id} value={id}>
            {name}
          </option>
        ))}
        {isGone && <option value={need.id}>a plan that is gone</option>}
      </select>
      {need && (
        <>
          under another
          <select
            aria-label="Under another plan"
            value={need.otherwise}
            onChange={(event) =>
              onChange({ ...need, otherwise: event.target.value === "refuse" ? "refuse" : "switch" })
            }
            className="min-h-9 rounded-md border border-edge-strong bg-ground px-2 text-paper"
          >
            <option value="switch">switch to it with the take</option>
            <option value="refuse">do not take</option>
          </select>
        </>
      )}
      {isGone && (
        <span className="text-attention">That plan is gone: this cue cannot be taken. Choose another.</span>
      )}
    </p>
  );
}
