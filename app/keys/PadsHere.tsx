import { useSyncExternalStore } from "react";
import { t } from "../../core/language/t.ts";
import { oscAddressSchema } from "../../core/triggers/whens/message.ts";
import { useDeskStore } from "../desk/deskContext.ts";
import { type PadsStatus, pads } from "../desk/pads.ts";
import { CheckBox } from "../ui/CheckBox.tsx";
import { boxClass } from "../ui/Labelled.tsx";

const OFF: PadsStatus = { kind: "off" };

/** Whether this browser listens to the MIDI pads of its machine, and which there are. */
export function PadsHere() {
  const status = useSyncExternalStore(
    pads.onStatus,
    () => pads.status,
    () => OFF,
  );
  return (
    <div className="mt-3 flex max-w-3xl flex-wrap items-center gap-x-4 text-[15px]">
      <CheckBox
        label={t`Use the MIDI pads of this machine`}
        isOn={status.kind === "on"}
        onChange={(isOn) => void pads.turn(isOn)}
      />
      <span role="status" className={status.kind === "refused" ? "text-attention" : "text-second"}>
        {status.kind === "refused" && status.sentence}
        {status.kind === "on" &&
          (status.names.length === 0
            ? t`None is there. Plug one in; it is found by itself.`
            : t`${status.names.join(", ")}. Press + and then its key. Keys are lit while what they do is on.`)}
      </span>
    </div>
  );
}

/** An address that presses an action when a message comes there. */
export function OscKey({ onTyped }: { onTyped: (address: string) => void }) {
  const store = useDeskStore();
  return (
    <input
      aria-label={t`Or the address of a message`}
      placeholder={t`or /address`}
      maxLength={120}
      onKeyDown={(event) => {
        if (event.key !== "Enter") return;
        const typed = oscAddressSchema.safeParse(event.currentTarget.value.trim());
        if (typed.success) onTyped(typed.data);
        else store.say("trouble", t`An address begins with / and has no spaces. Nothing was added.`);
      }}
      className={`${boxClass} w-36 font-mono text-[14px]`}
    />
  );
}
