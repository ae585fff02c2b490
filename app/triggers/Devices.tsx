import { useRevalidator } from "react-router";
import { t } from "../../core/language/t.ts";
import type { FollowSettings } from "../../core/triggers/followSettings.ts";
import { addressOfTake, messageOfTake, TAKE_FACTS, type TakeFacts } from "../../core/triggers/takeTold.ts";
import { oscAddressSchema } from "../../core/triggers/whens/message.ts";
import { BUS_WORDS } from "../../core/venue/source.ts";
import type { DoorView } from "../../core/wire/followView.ts";
import { call } from "../api/call.ts";
import { useDesk, useDeskStore, useReading } from "../desk/deskContext.ts";
import { useDeskData } from "../desk/useDeskData.ts";
import { formatLength } from "../ui/format.ts";
import { fieldClass, Labelled } from "../ui/Labelled.tsx";
import { NumberBox } from "../ui/NumberBox.tsx";
import { editTriggers } from "./editTriggers.ts";

const NAMES = { tally: t`Tally (UMD)`, osc: t`Messages (OSC)` } as const;
const FLAGS = { tally: "--tally-port", osc: "--osc-port" } as const;
const TALLIES = [1, 2, 3, 4] as const;
/** What others are told, with an example of each. */
const TOLD = [
  ["tellOsc", t`Message by OSC`, "/show/{what} {number} {title}"],
  ["tellHttp", t`Address that is called (POST)`, "http://lights.local/{what}?cue={number}"],
] as const;
const SAMPLE: TakeFacts = {
  ...{
    what: "take",
    cue: "cue-0001",
    number: "1",
    title: t`Title`,
    step: t`Verse 1`,
    words: t`Words`,
    layer: "words",
  },
};
/** Messages that devices say what they do by. */
const ADDRESSES = [
  ["oscProgram", t`OSC: input on program`],
  ["oscPreview", t`OSC: input on preview`],
  ["oscClip", t`Player: clip and its seconds`],
  ["oscPlace", t`Player: seconds in, runs or not`],
] as const;

/** How other devices are heard, and how what they say is understood. */
export function Devices() {
  const store = useDeskStore();
  const { follow } = useDesk("follow");
  if (!follow) return null;
  const { settings, doors, allowed } = follow;
  const save = (change: Partial<FollowSettings>) =>
    void editTriggers(store, { kind: "settings", settings: { ...settings, ...change } });
  const saveAddress = (name: (typeof ADDRESSES)[number][0], input: HTMLInputElement) => {
    const typed = oscAddressSchema.safeParse(input.value.trim());
    if (!typed.success) {
      input.value = settings[name];
      store.say("trouble", t`An OSC address begins with / and has no spaces. It was left as it is.`);
    } else if (typed.data !== settings[name]) save({ [name]: typed.data });
  };
  const tell = (name: (typeof TOLD)[number][0], input: HTMLInputElement) => {
    const typed = input.value.trim();
    const isGood =
      typed === "" ||
      (name === "tellOsc" ? messageOfTake(typed, SAMPLE) : addressOfTake(typed, SAMPLE)) !== undefined;
    if (isGood) return save({ [name]: typed });
    input.value = settings[name];
    store.say(
      "trouble",
      name === "tellOsc"
        ? t`A message begins with an address: /show/take {number}. It was left as it is.`
        : t`An address begins with http:// or https://, and its host stands there plainly. It was left as it is.`,
    );
  };
  return (
    <section aria-label={t`Devices`} className="flex flex-col gap-3 text-[15px]">
      <h2 className="text-[17px] font-semibold">{t`Devices`}</h2>
      <ul className="flex flex-col gap-1">
        {doors.map((door) => (
          <Door key={door.kind} door={door} />
        ))}
      </ul>
      <p className="text-[14px] text-second">
        {allowed.length === 0
          ? t`Only this machine may send; others are named when the server starts, with `
          : t`This machine may send, and ${allowed.join(", ")}.`}
        {allowed.length === 0 && <span className="font-mono whitespace-nowrap">{t`--device ADDRESS`}</span>}
      </p>
      <Hook />
      <details className="rounded-lg border border-edge px-3 py-2">
        <summary className="cursor-pointer text-second">{t`What others are told at every take`}</summary>
        <div className="mt-3 flex flex-col gap-3">
          {TOLD.map(([name, label, hint]) => (
            <Labelled key={name} id={name} label={label}>
              <input
                id={name}
                key={settings[name]}
                defaultValue={settings[name]}
                maxLength={name === "tellOsc" ? 300 : 600}
                placeholder={hint}
                onBlur={({ target }) => target.value.trim() !== settings[name] && tell(name, target)}
                className={`${fieldClass} font-mono text-[14px]`}
              />
            </Labelled>
          ))}
          <p className="text-[14px] text-second">
            {t`In braces: ${TAKE_FACTS.map((fact) => `{${fact}}`).join(" ")}. Empty: nothing is told. Hosts that may be called are named when the server starts, with`}{" "}
            <span className="font-mono whitespace-nowrap">{t`--feed-host NAME`}</span>
          </p>
        </div>
      </details>
      <details className="rounded-lg border border-edge px-3 py-2">
        <summary className="cursor-pointer text-second">{t`How they are understood`}</summary>
        <div className="mt-3 flex flex-col gap-3">
          <div className="flex gap-3">
            {(["program", "preview"] as const).map((bus) => (
              <Labelled key={bus} id={`umd-${bus}`} label={t`UMD 3.1: ${BUS_WORDS[bus]} is tally`}>
                <select
                  id={`umd-${bus}`}
                  value={settings.umd31[bus]}
                  onChange={({ target }) =>
                    save({ umd31: { ...settings.umd31, [bus]: Number(target.value) as 1 } })
                  }
                  className={`${fieldClass} min-h-[42px]`}
                >
                  {TALLIES.map((tally) => (
                    <option key={tally}>{tally}</option>
                  ))}
                </select>
              </Labelled>
            ))}
          </div>
          <p className="text-[14px] text-second">
            {t`By UMD 5.0 red is program, green is preview, and amber is both.`}
          </p>
          <div className="grid grid-cols-2 gap-3">
            {ADDRESSES.map(([name, label]) => (
              <Labelled key={name} id={name} label={label}>
                <input
                  id={name}
                  key={settings[name]}
                  defaultValue={settings[name]}
                  maxLength={120}
                  onBlur={({ target }) => saveAddress(name, target)}
                  className={`${fieldClass} font-mono text-[14px]`}
                />
              </Labelled>
            ))}
          </div>
          <p className="flex items-center gap-2">
            {t`Triggers do at most`}
            <NumberBox
              label={t`Most acts of triggers in a second`}
              value={settings.mostActsPerSecond}
              min={1}
              max={50}
              onSave={(mostActsPerSecond) => save({ mostActsPerSecond })}
            />
            {t`things in a second`}
          </p>
        </div>
      </details>
    </section>
  );
}

/** The link by which programs that speak HTTP send messages. */
function Hook() {
  const { hookToken } = useDeskData();
  const { revalidate } = useRevalidator();
  const path = `/hook/${hookToken}/vesko/go`;
  return (
    <div className="flex flex-col gap-1 rounded-lg border border-edge bg-ground px-3 py-2">
      <span className="flex items-baseline justify-between gap-3">
        <strong>{t`Messages (HTTP)`}</strong>
        <button
          type="button"
          title={t`The old link ends at once`}
          onClick={() => void call("/screens-link", { kind: "renewHook" }).then(() => void revalidate())}
          className="min-h-8 rounded-md bg-lifted px-2 text-[14px] hover:bg-edge"
        >
          {t`New link`}
        </button>
      </span>
      <span className="text-[14px] break-all text-second">
        {t`POST`} <span className="font-mono">{t`${path}?value=1`}</span>
      </span>
    </div>
  );
}

function Door({ door }: { door: DoorView }) {
  const { kind, port, problem, heardAtMs, isLost, turnedAway, lastProblem } = door;
  const ago = useReading((nowMs) => (heardAtMs === null ? "" : formatLength(nowMs - heardAtMs)));
  const { strangers, notUnderstood, tooMany } = turnedAway;
  const turned = [
    strangers > 0 && t`${strangers} from strangers`,
    notUnderstood > 0 &&
      t`${notUnderstood} not understood${lastProblem ? t` (the last: ${lastProblem})` : ""}`,
    tooMany > 0 && t`${tooMany} too many`,
  ].filter(Boolean);
  return (
    <li className="flex flex-col rounded-lg border border-edge bg-ground px-3 py-2">
      <span className="flex items-baseline justify-between gap-3">
        <strong>{NAMES[kind]}</strong>
        <span className="text-[14px] text-second">{port === null ? t`closed` : t`port ${port}`}</span>
      </span>
      <span className={`text-[14px] ${problem || isLost ? "text-attention" : "text-second"}`}>
        {problem ??
          (port === null ? (
            t`Start the server with ${FLAGS[kind]} N to open it.`
          ) : heardAtMs === null ? (
            t`nothing heard yet`
          ) : isLost ? (
            <>
              {t`not heard for`} <span className="font-mono tabular-nums">{ago}</span>
              {t`; titles stay as they are`}
            </>
          ) : (
            t`heard`
          ))}
      </span>
      {turned.length > 0 && (
        <span className="text-[14px] text-attention">{t`Turned away: ${turned.join(", ")}`}</span>
      )}
    </li>
  );
}
