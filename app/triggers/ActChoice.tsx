import type { ClipDoes } from "../../core/clips/clipCommand.ts";
import { t } from "../../core/language/t.ts";
import type { TriggerAct } from "../../core/triggers/acts.ts";
import { typedValue } from "../../core/triggers/typedValue.ts";
import { oscAddressSchema } from "../../core/triggers/whens/message.ts";
import { useDesk, useDeskStore } from "../desk/deskContext.ts";
import { boxClass } from "../ui/Labelled.tsx";
import { ChooseClip, ChooseCue, ChooseLayer, ChoosePlan } from "./choices.tsx";

const NAMES: Readonly<Record<TriggerAct["kind"], string>> = {
  take: t`take a cue`,
  arm: t`arm a cue`,
  out: t`take a layer out`,
  plan: t`switch the screen plan`,
  nextRow: t`put the next row into a page`,
  countdown: t`start a countdown`,
  clip: t`play or stop a clip`,
  message: t`send a message by OSC`,
};

const CLIP_DOES: Readonly<Record<ClipDoes["kind"], string>> = {
  play: t`play`,
  next: t`play the next one`,
  pause: t`pause`,
  goOn: t`go on`,
  stop: t`stop`,
};

const MOST_ARGS = 8;

/** What is typed between spaces: numbers as numbers. */
const argsOf = (typed: string): (string | number)[] =>
  typed
    .trim()
    .split(/\s+/)
    .filter(Boolean)
    .slice(0, MOST_ARGS)
    .map((word) => typedValue(word.slice(0, 200)));

/** What a trigger does. */
export function ActChoice({ act, onChange }: { act: TriggerAct; onChange: (act: TriggerAct) => void }) {
  const { cues, plans, state, follow } = useDesk("cues", "plans", "state", "follow");
  const freshClip = (kind: ClipDoes["kind"]): ClipDoes =>
    kind === "play" ? { kind, clipId: follow?.clips[0]?.id ?? "none" } : { kind };
  const cueId = "cueId" in act ? act.cueId : (cues[0]?.view.cueId ?? "none");
  const fresh = (kind: TriggerAct["kind"]): TriggerAct => {
    switch (kind) {
      case "take":
        return { kind, cueId, how: "usual" };
      case "arm":
      case "nextRow":
      case "countdown":
        return { kind, cueId };
      case "out":
        return { kind, layerId: state.layers[0]?.id ?? "none" };
      case "plan":
        return { kind, planId: plans[0]?.id ?? "none" };
      case "clip":
        return { kind, does: freshClip("play") };
      case "message":
        return { kind, address: "/vesko/did", args: [] };
    }
  };
  return (
    <>
      <select
        aria-label={t`What it does`}
        value={act.kind}
        onChange={({ target }) => onChange(fresh(target.value as TriggerAct["kind"]))}
        className={boxClass}
      >
        {Object.entries(NAMES).map(([kind, name]) => (
          <option key={kind} value={kind}>
            {name}
          </option>
        ))}
      </select>
      {act.kind === "clip" ? (
        <>
          <select
            aria-label={t`What is done to the clip`}
            value={act.does.kind}
            onChange={({ target }) =>
              onChange({ kind: "clip", does: freshClip(target.value as ClipDoes["kind"]) })
            }
            className={boxClass}
          >
            {Object.entries(CLIP_DOES).map(([kind, name]) => (
              <option key={kind} value={kind}>
                {name}
              </option>
            ))}
          </select>
          {act.does.kind === "play" && (
            <ChooseClip
              value={act.does.clipId}
              onChange={(clipId) => onChange({ kind: "clip", does: { kind: "play", clipId } })}
            />
          )}
        </>
      ) : (
        <ActDetails act={act} onChange={onChange} />
      )}
    </>
  );
}

function ActDetails({
  act,
  onChange,
}: {
  act: Exclude<TriggerAct, { kind: "clip" }>;
  onChange: (act: TriggerAct) => void;
}) {
  const store = useDeskStore();
  switch (act.kind) {
    case "take":
      return (
        <>
          <ChooseCue value={act.cueId} onChange={(cueId) => onChange({ ...act, cueId })} />
          <select
            aria-label={t`How it comes`}
            value={act.how}
            onChange={({ target }) => onChange({ ...act, how: target.value as typeof act.how })}
            className={boxClass}
          >
            <option value="usual">{t`as its layer has it`}</option>
            <option value="cut">{t`at once`}</option>
          </select>
        </>
      );
    case "arm":
    case "nextRow":
    case "countdown":
      return <ChooseCue value={act.cueId} onChange={(cueId) => onChange({ ...act, cueId })} />;
    case "out":
      return <ChooseLayer value={act.layerId} onChange={(layerId) => onChange({ ...act, layerId })} />;
    case "plan":
      return <ChoosePlan value={act.planId} onChange={(planId) => onChange({ ...act, planId })} />;
    case "message":
      return (
        <input
          aria-label={t`Address and values`}
          key={[act.address, ...act.args].join(" ")}
          defaultValue={[act.address, ...act.args].join(" ")}
          maxLength={400}
          onBlur={({ target }) => {
            const [first = "", ...others] = target.value.trim().split(/\s+/);
            const address = oscAddressSchema.safeParse(first);
            if (address.success) {
              const args = argsOf(others.join(" "));
              if (JSON.stringify([address.data, args]) !== JSON.stringify([act.address, act.args]))
                onChange({ ...act, address: address.data, args });
              return;
            }
            target.value = [act.address, ...act.args].join(" ");
            store.say(
              "trouble",
              t`An OSC address begins with /, and values come after it. It was left as it is.`,
            );
          }}
          className={`${boxClass} w-72 font-mono`}
        />
      );
  }
}
