import { Trash2 } from "lucide-react";
import type { ReactNode } from "react";
import { t } from "../../core/language/t.ts";
import { bringsPage } from "../../core/triggers/acts.ts";
import { nameOfTrigger, type Trigger } from "../../core/triggers/trigger.ts";
import { endOfWhen } from "../../core/triggers/whens.ts";
import type { TriggerView } from "../../core/wire/followView.ts";
import { useSavesInOrder } from "../api/useSavesInOrder.ts";
import { useDeskStore } from "../desk/deskContext.ts";
import { useTriggerNames } from "../desk/useTriggerNames.ts";
import { CheckBox } from "../ui/CheckBox.tsx";
import { boxClass } from "../ui/Labelled.tsx";
import { SecondsBox } from "../ui/SecondsBox.tsx";
import { ActChoice } from "./ActChoice.tsx";
import { ConditionChoices } from "./ConditionChoices.tsx";
import { editTriggers } from "./editTriggers.ts";
import { WhenChoice } from "./WhenChoice.tsx";

/** The choices that a trigger's sentence is made of; each is saved as it is made. */
export function TriggerForm({ trigger: told, onClose }: { trigger: TriggerView; onClose: () => void }) {
  const store = useDeskStore();
  const names = useTriggerNames();
  const { revision, ...plain } = told;
  const [trigger, save] = useSavesInOrder<Trigger>(revision, plain, (doc, baseRevision) =>
    editTriggers(store, { kind: "saveTrigger", trigger: doc, baseRevision }),
  );
  const remove = async () => {
    const whole: Trigger = trigger;
    if (!(await editTriggers(store, { kind: "removeTrigger", id: trigger.id }))) return;
    onClose();
    store.say("word", t`The trigger “${nameOfTrigger(whole, names)}” was removed.`, {
      label: t`Put back`,
      act: () => void editTriggers(store, { kind: "saveTrigger", trigger: whole, baseRevision: 0 }),
    });
  };
  const { act, stay } = trigger;
  const end = endOfWhen(trigger.when);
  return (
    <div className="flex flex-col gap-3 border-t border-edge px-4 py-3 text-[15px]">
      <Line label={t`Name`}>
        <input
          aria-label={t`Name of the trigger`}
          key={trigger.name}
          defaultValue={trigger.name}
          maxLength={60}
          placeholder={t`as its sentence says`}
          onBlur={({ target }) => target.value.trim() !== trigger.name && save({ name: target.value.trim() })}
          className={`${boxClass} w-80 max-w-full`}
        />
      </Line>
      <Line label={t`When`}>
        <WhenChoice when={trigger.when} onChange={(when) => save({ when })} />
      </Line>
      <Line label={t`Only while`}>
        <ConditionChoices conditions={trigger.onlyWhile} onChange={(onlyWhile) => save({ onlyWhile })} />
      </Line>
      <Line label={t`After`}>
        <SecondsBox
          label={t`Delay, s`}
          ms={trigger.delayMs}
          min={0}
          max={3_600}
          step={0.1}
          onSave={(ms) => save({ delayMs: ms })}
        />
        {t`s`}
      </Line>
      <Line label={t`Then`}>
        <ActChoice act={act} onChange={(changed) => save({ act: changed })} />
      </Line>
      {bringsPage(act) && (
        <Line label={t`It stays`}>
          <select
            aria-label={t`How long it stays`}
            value={stay.kind}
            onChange={({ target }) => {
              const kind = target.value as typeof stay.kind;
              save({ stay: kind === "for" ? { kind, ms: 10_000 } : { kind } });
            }}
            className={boxClass}
          >
            <option value="asCue">{t`as long as the cue says`}</option>
            <option value="for">{t`for a time`}</option>
            <option value="open">{t`until it is taken off`}</option>
          </select>
          {stay.kind === "for" && (
            <>
              <SecondsBox
                label={t`Stay, s`}
                ms={stay.ms}
                min={0.5}
                max={86_400}
                step={0.5}
                onSave={(ms) => save({ stay: { kind: "for", ms } })}
              />
              {t`s`}
            </>
          )}
        </Line>
      )}
      <div className="flex flex-wrap items-center gap-x-6 pl-24">
        {bringsPage(act) && end !== null && (
          <CheckBox
            label={t`Leaves when ${end}`}
            isOn={trigger.leavesWith}
            onChange={(leavesWith) => save({ leavesWith })}
          />
        )}
        {(bringsPage(act) || act.kind === "out") && (
          <CheckBox
            label={t`Also in place of what a hand put there before`}
            isOn={trigger.mayReplaceHand}
            onChange={(mayReplaceHand) => save({ mayReplaceHand })}
          />
        )}
      </div>
      <button
        type="button"
        onClick={() => void remove()}
        className="flex min-h-9 w-fit items-center gap-1.5 rounded-md bg-lifted px-3 hover:bg-edge"
      >
        <Trash2 aria-hidden="true" className="size-4" /> {t`Remove`}
      </button>
    </div>
  );
}

function Line({ label, children }: { label: string; children: ReactNode }) {
  return (
    <div className="flex items-start gap-3">
      <span className="w-21 shrink-0 pt-2 text-right text-second">{label}</span>
      <div className="flex min-w-0 flex-1 flex-wrap items-center gap-2">{children}</div>
    </div>
  );
}
