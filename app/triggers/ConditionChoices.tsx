import { X } from "lucide-react";
import { t } from "../../core/language/t.ts";
import type { Condition } from "../../core/triggers/conditions.ts";
import { useDesk } from "../desk/deskContext.ts";
import { TimeBox } from "../desk/TimeBox.tsx";
import { boxClass } from "../ui/Labelled.tsx";
import { ChooseCue, ChooseLayer, ChoosePlan, ChooseSource } from "./choices.tsx";

const MOST = 6;
const NAMES: Readonly<Record<Condition["kind"], string>> = {
  plan: t`the screen plan is`,
  onAir: t`a cue is on air, or not`,
  empty: t`a layer is empty`,
  source: t`a source is on program, or not`,
  between: t`it is between two times`,
};

/** What must hold for a trigger to act; all of it. */
export function ConditionChoices({
  conditions,
  onChange,
}: {
  conditions: readonly Condition[];
  onChange: (conditions: Condition[]) => void;
}) {
  const { cues, plans, state, sources } = useDesk("cues", "plans", "state", "sources");
  const fresh = (kind: Condition["kind"]): Condition => {
    switch (kind) {
      case "plan":
        return { kind, planId: plans[0]?.id ?? "none" };
      case "onAir":
        return { kind, cueId: cues[0]?.view.cueId ?? "none", isOn: true };
      case "empty":
        return { kind, layerId: state.layers[0]?.id ?? "none" };
      case "source":
        return { kind, sourceId: sources[0]?.id ?? "none", bus: "program", isOn: true };
      case "between":
        return { kind, from: "18:00:00", to: "22:00:00" };
    }
  };
  const change = (at: number, condition: Condition) =>
    onChange(conditions.map((each, index) => (index === at ? condition : each)));
  return (
    <div className="flex min-w-0 flex-1 flex-col gap-2">
      {conditions.map((condition, at) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: they have no names, and their order is all that tells them apart
        <div key={at} className="flex flex-wrap items-center gap-2">
          <OneCondition condition={condition} onChange={(changed) => change(at, changed)} />
          <button
            type="button"
            aria-label={t`Take the condition away: ${NAMES[condition.kind]}`}
            onClick={() => onChange(conditions.filter((_, index) => index !== at))}
            className="grid size-9 shrink-0 place-content-center rounded-md hover:bg-lifted"
          >
            <X aria-hidden="true" className="size-4" />
          </button>
        </div>
      ))}
      {conditions.length < MOST && (
        <select
          aria-label={t`One more condition`}
          value=""
          onChange={({ target }) => onChange([...conditions, fresh(target.value as Condition["kind"])])}
          className={`${boxClass} w-fit text-second`}
        >
          <option value="">{conditions.length === 0 ? t`always` : t`and…`}</option>
          {Object.entries(NAMES).map(([kind, name]) => (
            <option key={kind} value={kind}>
              {name}
            </option>
          ))}
        </select>
      )}
    </div>
  );
}

function OneCondition({
  condition,
  onChange,
}: {
  condition: Condition;
  onChange: (condition: Condition) => void;
}) {
  switch (condition.kind) {
    case "plan":
      return (
        <>
          {t`the screen plan is`}
          <ChoosePlan value={condition.planId} onChange={(planId) => onChange({ ...condition, planId })} />
        </>
      );
    case "onAir":
      return (
        <>
          <ChooseCue value={condition.cueId} onChange={(cueId) => onChange({ ...condition, cueId })} />
          <select
            aria-label={t`On air or not`}
            value={condition.isOn ? "on" : "off"}
            onChange={({ target }) => onChange({ ...condition, isOn: target.value === "on" })}
            className={boxClass}
          >
            <option value="on">{t`is on air`}</option>
            <option value="off">{t`is not on air`}</option>
          </select>
        </>
      );
    case "empty":
      return (
        <>
          <ChooseLayer
            value={condition.layerId}
            onChange={(layerId) => onChange({ ...condition, layerId })}
          />
          {t`is empty`}
        </>
      );
    case "source":
      return (
        <>
          <ChooseSource
            value={condition.sourceId}
            onChange={(sourceId) => onChange({ ...condition, sourceId })}
          />
          <select
            aria-label={t`Where it is, or is not`}
            value={`${condition.isOn ? "on" : "off"} ${condition.bus}`}
            onChange={({ target }) => {
              const [on, bus] = target.value.split(" ") as ["on" | "off", typeof condition.bus];
              onChange({ ...condition, isOn: on === "on", bus });
            }}
            className={boxClass}
          >
            <option value="on program">{t`is on program`}</option>
            <option value="off program">{t`is not on program`}</option>
            <option value="on preview">{t`is on preview`}</option>
            <option value="off preview">{t`is not on preview`}</option>
          </select>
        </>
      );
    case "between":
      return (
        <>
          {t`from`}
          <TimeBox
            label={t`From`}
            time={condition.from}
            isToTheSecond
            onSave={(from) => onChange({ ...condition, from })}
          />
          {t`to`}
          <TimeBox
            label={t`To`}
            time={condition.to}
            isToTheSecond
            onSave={(to) => onChange({ ...condition, to })}
          />
        </>
      );
  }
}
