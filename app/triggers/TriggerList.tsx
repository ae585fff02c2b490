import { Plus, Zap } from "lucide-react";
import { DropdownMenu } from "radix-ui";
import { useState } from "react";
import { keysOf, nameOfKey } from "../../core/keys/keyMap.ts";
import { t } from "../../core/language/t.ts";
import { sharesSource, triggersOfCues } from "../../core/show/tiedToSource.ts";
import { nameOfTrigger, sayTrigger, type Trigger } from "../../core/triggers/trigger.ts";
import type { TriggerView } from "../../core/wire/followView.ts";
import { useSavesInOrder } from "../api/useSavesInOrder.ts";
import { useDesk, useDeskStore } from "../desk/deskContext.ts";
import { useTriggerNames } from "../desk/useTriggerNames.ts";
import { editTriggers } from "./editTriggers.ts";
import { newTrigger, TYPICAL, type TypicalId } from "./newTrigger.ts";
import { TriggerForm } from "./TriggerForm.tsx";

/** Every trigger as a sentence; one that is chosen opens into its choices. */
export function TriggerList() {
  const store = useDeskStore();
  const { follow, ready, state } = useDesk("follow", "ready", "state");
  const [openId, setOpenId] = useState<string>();
  const made = follow?.triggers ?? [];
  const ties = triggersOfCues(ready);
  const add = async (id: TypicalId) => {
    const trigger = newTrigger(id, store.getSnapshot());
    if (typeof trigger === "string") store.say("trouble", trigger);
    else if (await editTriggers(store, { kind: "saveTrigger", trigger, baseRevision: 0 }))
      setOpenId(trigger.id);
  };
  const { areStopped } = state.triggers;
  return (
    <div className="min-h-0 flex-1 overflow-y-auto px-5 pt-4 pb-8">
      <div className="mb-2 flex items-center justify-between gap-3">
        <h2 className="text-[17px] font-semibold">{t`Triggers`}</h2>
        <span className="flex gap-2">
          <button
            type="button"
            aria-pressed={areStopped}
            onClick={() => store.air.press({ kind: "stopTriggers", areStopped: !areStopped })}
            className="min-h-9 rounded-md bg-lifted px-3 text-[15px] hover:bg-edge aria-pressed:bg-attention aria-pressed:text-on-bright"
          >
            {areStopped ? t`Stopped: let them go` : t`Stop all`}
          </button>
          <DropdownMenu.Root>
            <DropdownMenu.Trigger className="flex min-h-9 items-center gap-1.5 rounded-md bg-act px-3 text-[15px] font-bold text-on-bright hover:brightness-110">
              <Plus aria-hidden="true" className="size-4" /> {t`New trigger`}
            </DropdownMenu.Trigger>
            <DropdownMenu.Portal>
              <DropdownMenu.Content
                align="end"
                sideOffset={6}
                className="z-30 w-90 rounded-lg border border-edge-strong bg-raised p-1.5 shadow-xl"
              >
                {TYPICAL.map(({ id, name, hint }) => (
                  <DropdownMenu.Item
                    key={id}
                    onSelect={() => void add(id)}
                    className="cursor-pointer rounded-md px-3 py-2 outline-none data-[highlighted]:bg-lifted"
                  >
                    <span className="block text-[16px]">{name}</span>
                    <span className="block text-[14px] text-second">{hint}</span>
                  </DropdownMenu.Item>
                ))}
              </DropdownMenu.Content>
            </DropdownMenu.Portal>
          </DropdownMenu.Root>
        </span>
      </div>
      {made.length === 0 && (
        <p className="flex max-w-xl gap-3 py-2 text-[15px] text-second">
          <Zap aria-hidden="true" className="mt-0.5 size-5 shrink-0 text-act" />
          {t`A trigger does something by itself when something happens: a camera comes, a time of day, a number that is reached. What a hand has put on a layer it leaves alone, and one key stops all of them.`}
        </p>
      )}
      <ul className="flex flex-col gap-1.5">
        {made.map((trigger) => (
          <li key={trigger.id} className="rounded-lg border border-edge bg-raised">
            <Row
              trigger={trigger}
              isOpen={trigger.id === openId}
              onOpen={() => setOpenId(trigger.id === openId ? undefined : trigger.id)}
            />
            {trigger.id === openId && <TriggerForm trigger={trigger} onClose={() => setOpenId(undefined)} />}
          </li>
        ))}
      </ul>
      {ties.length > 0 && (
        <>
          <h3 className="mt-5 mb-1.5 text-[15px] font-semibold">{t`Cues that are tied to a source`}</h3>
          <p className="mb-2 text-[14px] text-second">{t`They are set at the cue itself, in Prepare.`}</p>
          <ul className="flex flex-col gap-1.5">
            {ties.map((trigger) => (
              <li key={trigger.id} className="rounded-lg border border-edge px-3 py-2">
                <Sentence trigger={trigger} />
                <OthersThere trigger={trigger} />
              </li>
            ))}
          </ul>
        </>
      )}
    </div>
  );
}

function Row({ trigger, isOpen, onOpen }: { trigger: TriggerView; isOpen: boolean; onOpen: () => void }) {
  const store = useDeskStore();
  const names = useTriggerNames();
  const { revision, ...told } = trigger;
  // Ticked twice at once, it is what the second tick says.
  const [plain, save] = useSavesInOrder<Trigger>(revision, told, (doc, baseRevision) =>
    editTriggers(store, { kind: "saveTrigger", trigger: doc, baseRevision }),
  );
  const name = nameOfTrigger(trigger, names);
  return (
    <div className="flex items-center gap-1 p-1.5">
      <label className="grid size-10 shrink-0 cursor-pointer place-content-center rounded-md hover:bg-lifted">
        <span className="sr-only">{t`“${name}” is on`}</span>
        <input
          type="checkbox"
          checked={plain.isOn}
          onChange={({ target }) => save({ isOn: target.checked })}
          className="size-5 accent-act"
        />
      </label>
      <button
        type="button"
        aria-expanded={isOpen}
        title={t`Change “${name}”`}
        onClick={onOpen}
        className="min-h-10 min-w-0 flex-1 rounded-md px-2 py-1.5 text-left hover:bg-lifted"
      >
        <Sentence trigger={trigger} />
      </button>
    </div>
  );
}

/** Who else is at the same source and would take the same place. */
function OthersThere({ trigger: { act } }: { trigger: Trigger }) {
  const { ready, venue } = useDesk("ready", "venue");
  const [key] = keysOf(venue.keys, "otherAtSource");
  const others = act.kind === "take" ? sharesSource(ready, act.cueId).slice(1) : [];
  if (others.length === 0 || key === undefined) return null;
  return (
    <p className="mt-1 text-[15px] text-second">
      <kbd>{nameOfKey(key)}</kbd>{" "}
      {t`in Run brings who else is there: ${others.map(({ content }) => content.title).join(", ")}.`}
    </p>
  );
}

function Sentence({ trigger }: { trigger: Trigger }) {
  const names = useTriggerNames();
  return (
    <span className={trigger.isOn ? "" : "text-second"}>
      {trigger.name !== "" && <strong className="block text-[16px]">{trigger.name}</strong>}
      <span className={`block text-[15px] ${trigger.name === "" ? "" : "text-second"}`}>
        {sayTrigger(trigger, names)}
        {!trigger.isOn && t` It is off.`}
      </span>
    </span>
  );
}
