import { useRevalidator } from "react-router";
import type { FollowSettings } from "../../core/triggers/followSettings.ts";
import { addressOfTake, messageOfTake, TAKE_FACTS, type TakeFacts } from "../../core/triggers/takeTold.ts";
import { oscAddressSchema } from "../../core/triggers/whens/message.ts";
import type { DoorView } from "../../core/wire/followView.ts";
import { call } from "../api/call.ts";
import { useDesk, useDeskStore, useReading } from "../desk/deskContext.ts";
import { useDeskData } from "../desk/useDeskData.ts";
import { formatLength } from "../ui/format.ts";
import { fieldClass, Labelled } from "../ui/Labelled.tsx";
import { NumberBox } from "../ui/NumberBox.tsx";
import { editTriggers } from "./editTriggers.ts";

const NAMES = { tally: "Tally (UMD)", osc: "Messages (OSC)" } as const;
const FLAGS = { tally: "--tally-port", osc: "--osc-port" } as const;
const TALLIES = [1, 2, 3, 4] as const;
/** What others are told, with an example of each. */
const TOLD = [
  ["tellOsc", "Message by OSC", "/show/{what} {number} {title}"],
  ["tellHttp", "Address that is called (POST)", "http://lights.local/{what}?cue={number}"],
] as const;
const SAMPLE: TakeFacts = {
  ...{
    what: "take",
    cue: "cue-0001",
    number: "1",
    title: "Title",
    step: "Verse 1",
    words: "Words",
    layer: "words",
  },
};
/** Messages that devices say what they do by. */
const ADDRESSES = [
  ["oscProgram", "OSC: input on program"],
  ["oscPreview", "OSC: input on preview"],
  ["oscClip", "Player: clip and its seconds"],
  ["oscPlace", "Player: seconds in, runs or not"],
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
      store.say("trouble", "An OSC address begins with / and has no spaces. It was left as it is.");
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
        ? "A message begins with an address: /show/take {number}. It was left as it is."
        : "An address begins with http:// or https://, and its host stands there plainly. It was left as it is.",
    );
  };
  return (
    <section aria-label="Devices" className="flex flex-col gap-3 text-[15px]">
      <h2 className="text-[17px] font-semibold">Devices</h2>
      <ul className="flex flex-col gap-1">
        {doors.map((door) => (
          <Door key={door.kind} door={door} />
        ))}
      </ul>
      <p className="text-[14px] text-second">
        {allowed.length === 0
          ? "Only this machine may send; others are named when the server starts, with "
          : `This machine may send, and ${allowed.join(", ")}.`}
        {allowed.length === 0 && <span className="font-mono whitespace-nowrap">--device ADDRESS</span>}
      </p>
      <Hook />
      <details className="rounded-lg border border-edge px-3 py-2">
        <summary className="cursor-pointer text-second">What others are told at every take</summary>
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
            In braces: {TAKE_FACTS.map((fact) => `{${fact}}`).join(" ")}. Empty: nothing is told. Hosts that
            may be called are named when the server starts, with{" "}
            <span className="font-mono whitespace-nowrap">--feed-host NAME</span>
          </p>
        </div>
      </details>
      <details className="rounded-lg border border-edge px-3 py-2">
        <summary className="cursor-pointer text-second">How they are understood</summary>
        <div className="mt-3 flex flex-col gap-3">
          <div className="flex gap-3">
            {(["program", "preview"] as const).map((bus) => (
              <Labelled key={bus} id={`umd-${bus}`} label={`UMD 3.1: ${bus} is tally`}>
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
            By UMD 5.0 red is program, green is preview, and amber is both.
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
            Triggers do at most
            <NumberBox
              label="Most acts of triggers in a second"
              value={settings.mostActsPerSecond}
              min={1}
              max={50}
              onSave={(mostActsPerSecond) => save({ mostActsPerSecond })}
            />
            things in a second
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
        <strong>Messages (HTTP)</strong>
        <button
          type="button"
          title="The old link ends at once"
          onClick={() => void call("/screens-link", { kind: "renewHook" }).then(() => void revalidate())}
          className="min-h-8 rounded-md bg-lifted px-2 text-[14px] hover:bg-edge"
        >
          New link
        </button>
      </span>
      <span className="text-[14px] break-all text-second">
        POST <span className="font-mono">{path}?value=1</span>
      </span>
    </div>
  );
}

function Door({ door }: { door: DoorView }) {
  const { kind, port, problem, heardAtMs, isLost, turnedAway, lastProblem } = door;
  const ago = useReading((nowMs) => (heardAtMs === null ? "" : formatLength(nowMs - heardAtMs)));
  const { strangers, notUnderstood, tooMany } = turnedAway;
  const turned = [
    strangers > 0 && `${strangers} from strangers`,
    notUnderstood > 0 && `${notUnderstood} not understood${lastProblem ? ` (the last: ${lastProblem})` : ""}`,
    tooMany > 0 && `${tooMany} too many`,
  ].filter(Boolean);
  return (
    <li className="flex flex-col rounded-lg border border-edge bg-ground px-3 py-2">
      <span className="flex items-baseline justify-between gap-3">
        <strong>{NAMES[kind]}</strong>
        <span className="text-[14px] text-second">{port === null ? "closed" : `port ${port}`}</span>
      </span>
      <span className={`text-[14px] ${problem || isLost ? "text-attention" : "text-second"}`}>
        {problem ??
          (port === null ? (
            <>Start the server with {FLAGS[kind]} N to open it.</>
          ) : heardAtMs === null ? (
            "nothing heard yet"
          ) : isLost ? (
            <>
              not heard for <span className="font-mono tabular-nums">{ago}</span>; titles stay as they are
            </>
          ) : (
            "heard"
          ))}
      </span>
      {turned.length > 0 && (
        <span className="text-[14px] text-attention">Turned away: {turned.join(", ")}</span>
      )}
    </li>
  );
}
