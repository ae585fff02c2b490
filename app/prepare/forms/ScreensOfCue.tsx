import { Plus, X } from "lucide-react";
import { t } from "../../../core/language/t.ts";
import type { CueDoc, PlanNeed } from "../../../core/rundown/cueDoc.ts";
import { kindOf } from "../../../core/rundown/kinds.ts";
import { type Step, stepsOf } from "../../../core/rundown/steps.ts";
import { useDesk } from "../../desk/deskContext.ts";
import type { DeskCue } from "../../desk/deskCues.ts";

const selectClass = "min-h-9 rounded-md border border-edge-strong bg-ground px-2 text-paper";

/** Which screens a cue goes to, and under which plans it is seen. */
export function ScreensOfCue({
  cue,
  doc,
  onChange,
}: {
  cue: DeskCue;
  doc: CueDoc;
  onChange: (change: Pick<CueDoc, "plan" | "stepPlans" | "only">) => void;
}) {
  const { plans, outputs } = useDesk("plans", "outputs");
  const { plan, stepPlans, only } = doc;
  const change = (part: Partial<Pick<CueDoc, "plan" | "stepPlans" | "only">>) =>
    onChange({ plan, stepPlans, only, ...part });
  const known = (id: string) => plans.some((candidate) => candidate.id === id);
  const isGone = (plan !== null && !known(plan.id)) || stepPlans.some(({ planId }) => !known(planId));
  const steps = cue.ready ? stepsOf(cue.ready.content) : [];
  const hasPlans = plans.length > 1 || plan !== null || stepPlans.length > 0;
  return (
    <div className="flex flex-col gap-2 text-[15px] text-second">
      {outputs.length > 1 && kindOf(doc).bringsPage && (
        <fieldset className="flex flex-wrap items-center gap-1.5">
          <legend className="float-left mr-2.5">{t`On`}</legend>
          {outputs.map(({ id, name }) => {
            const isOn = only?.includes(id) ?? true;
            return (
              <button
                key={id}
                type="button"
                aria-pressed={isOn}
                title={isOn ? t`It goes to ${name}` : t`${name} keeps what it shows`}
                onClick={() => change({ only: toggled(only, id, outputs) })}
                className={`min-h-8 rounded px-2.5 text-[14px] ${isOn ? "bg-lifted text-paper" : "border border-edge text-second line-through"}`}
              >
                {name}
              </button>
            );
          })}
        </fieldset>
      )}
      {hasPlans && (
        <p className="flex flex-wrap items-center gap-2.5">
          {t`Screen plan`}
          <select
            aria-label={t`Screen plan of this cue`}
            value={plan?.id ?? ""}
            onChange={({ target }) => change({ plan: needOf(target.value, plan) })}
            className={selectClass}
          >
            <option value="">{t`any`}</option>
            <PlanOptions plans={plans} chosenId={plan?.id} />
          </select>
          {plan && (
            <>
              {t`under another`}
              <select
                aria-label={t`Under another plan`}
                value={plan.otherwise}
                onChange={({ target }) =>
                  change({ plan: { ...plan, otherwise: target.value === "refuse" ? "refuse" : "switch" } })
                }
                className={selectClass}
              >
                <option value="switch">{t`switch to it with the take`}</option>
                <option value="refuse">{t`do not take`}</option>
              </select>
            </>
          )}
          {steps.length > 1 && (
            <button
              type="button"
              onClick={() => {
                const step = steps[1]?.anchor;
                const planId = plans[0]?.id;
                if (step && planId) change({ stepPlans: [...stepPlans, { step, planId }] });
              }}
              className="flex min-h-9 items-center gap-1.5 rounded-md px-2 text-act hover:underline"
            >
              <Plus aria-hidden="true" className="size-4" /> {t`from a step on`}
            </button>
          )}
        </p>
      )}
      {stepPlans.map(({ step, planId }, at) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: rows have no name of their own, and two may be alike
        <p key={at} className="flex flex-wrap items-center gap-2.5">
          {t`from`}
          <select
            aria-label={t`Step of plan change ${at + 1}`}
            value={keyOf(step)}
            onChange={({ target }) => {
              const chosen = steps.find(({ anchor }) => keyOf(anchor) === target.value);
              if (chosen) change({ stepPlans: replaced(stepPlans, at, { step: chosen.anchor, planId }) });
            }}
            className={`${selectClass} max-w-72`}
          >
            {!steps.some(({ anchor }) => keyOf(anchor) === keyOf(step)) && (
              <option value={keyOf(step)}>{t`a step that is divided otherwise now`}</option>
            )}
            {steps.map((each, number) => (
              <option key={keyOf(each.anchor)} value={keyOf(each.anchor)}>
                {nameOf(each, number)}
              </option>
            ))}
          </select>
          {t`on`}
          <select
            aria-label={t`Plan of plan change ${at + 1}`}
            value={planId}
            onChange={({ target }) =>
              change({ stepPlans: replaced(stepPlans, at, { step, planId: target.value }) })
            }
            className={selectClass}
          >
            <PlanOptions plans={plans} chosenId={planId} />
          </select>
          <button
            type="button"
            aria-label={t`Remove plan change ${at + 1}`}
            onClick={() => change({ stepPlans: stepPlans.filter((_, other) => other !== at) })}
            className="grid size-9 place-content-center rounded-md bg-lifted text-paper hover:bg-edge"
          >
            <X aria-hidden="true" className="size-4" />
          </button>
        </p>
      ))}
      {isGone && (
        <p className="text-attention">
          {t`A plan it needs is gone, so it cannot be taken there. Choose another; the air is as it was.`}
        </p>
      )}
    </div>
  );
}

function PlanOptions({
  plans,
  chosenId,
}: {
  plans: readonly { readonly id: string; readonly name: string }[];
  chosenId: string | undefined;
}) {
  return (
    <>
      {plans.map(({ id, name }) => (
        <option key={id} value={id}>
          {name}
        </option>
      ))}
      {chosenId !== undefined && !plans.some(({ id }) => id === chosenId) && (
        <option value={chosenId}>{t`a plan that is gone`}</option>
      )}
    </>
  );
}

const keyOf = ({ occurrence, unit }: Step["anchor"]) => `${occurrence}/${unit}`;
const nameOf = ({ label, words, kind }: Step, number: number) =>
  `${number + 1} · ${[label, kind === "leave" ? t`the words leave` : words.split("\n")[0]?.slice(0, 40)].filter(Boolean).join(" · ")}`;

const needOf = (id: string, before: PlanNeed | null): PlanNeed | null =>
  id === "" ? null : { id, otherwise: before?.otherwise ?? "switch" };

function replaced<T>(list: readonly T[], at: number, by: T): T[] {
  return list.map((each, index) => (index === at ? by : each));
}

/** One output more or fewer; all of them is no limit, and at least one stays. */
function toggled(
  only: readonly string[] | null,
  id: string,
  outputs: readonly { readonly id: string }[],
): string[] | null {
  const now = outputs.map((output) => output.id).filter((each) => only?.includes(each) ?? true);
  const next = now.includes(id) ? now.filter((each) => each !== id) : [...now, id];
  if (next.length === 0) return [id];
  return next.length === outputs.length ? null : next;
}
