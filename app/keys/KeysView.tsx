import { Plus, X } from "lucide-react";
import { useEffect, useState } from "react";
import {
  AIR_ACTION_IDS,
  AIR_ACTIONS,
  type AirAction,
  addKey,
  type KeyMap,
  keysOf,
  nameOfKey,
  removeKey,
} from "../../core/keys/keyMap.ts";
import { t } from "../../core/language/t.ts";
import { call } from "../api/call.ts";
import { useDesk, useDeskStore } from "../desk/deskContext.ts";
import { NoticeBar } from "../desk/NoticeBar.tsx";
import { pads } from "../desk/pads.ts";
import { HoldButton } from "../ui/HoldButton.tsx";
import { takesText } from "../ui/isTyping.ts";
import { OscKey, PadsHere } from "./PadsHere.tsx";

/** Actions of a desk's own window are not done by a message. */
const canBeRemote = (action: AirAction): boolean => !["stageNote", "edit", "lock"].includes(action);

/** Which key does what while the evening runs: the venue's own, with clashes refused. */
export function KeysView() {
  const { keys } = useDesk("venue").venue;
  const store = useDeskStore();
  const [waiting, setWaiting] = useState<AirAction | null>(null);

  const save = async (change: { readonly map: KeyMap } | { readonly problem: string }) => {
    if ("problem" in change) {
      store.say("trouble", change.problem);
      return;
    }
    const answer = await call("/venue-settings", { keys: change.map });
    if ("problem" in answer) store.say("trouble", answer.problem.sentence);
  };

  // biome-ignore lint/correctness/useExhaustiveDependencies: the listener lives as long as a key is waited for
  useEffect(() => {
    if (!waiting) return;
    const onKeyDown = (event: KeyboardEvent) => {
      // In the box for an address keys are words.
      if (takesText(event.target)) return;
      event.preventDefault();
      event.stopPropagation();
      if (["Shift", "Control", "Alt", "Meta"].includes(event.key)) return;
      setWaiting(null);
      void save(addKey(keys, waiting, event.key));
    };
    const stopPads = pads.onPress(({ key, isDown }) => {
      if (!isDown) return;
      setWaiting(null);
      void save(addKey(keys, waiting, key));
    });
    window.addEventListener("keydown", onKeyDown, true);
    return () => {
      stopPads();
      window.removeEventListener("keydown", onKeyDown, true);
    };
  }, [waiting, keys]);

  return (
    <main aria-label={t`Keys`} className="relative min-h-0 flex-1">
      {/* biome-ignore lint/a11y/noNoninteractiveTabindex: what scrolls must be reached by keys */}
      <div tabIndex={0} className="h-full overflow-y-auto px-8 py-6">
        <div className="flex max-w-5xl items-baseline gap-6">
          <h2 className="text-[19px] font-semibold">{t`Keys of the run view`}</h2>
          <HoldButton
            disabled={Object.keys(keys).length === 0}
            onHeld={() => void save({ map: {} })}
            title={t`Hold for half a second`}
            className="min-h-9 rounded-md bg-lifted px-3 text-[15px] hover:bg-edge disabled:text-quiet"
          >
            <span>{t`Reset all keys`}</span>
          </HoldButton>
        </div>
        <p className="mt-1 max-w-3xl text-[15px] text-second">
          {t`They work where no text box has the focus; in a text box, Ctrl+Enter takes, and Ctrl+Shift with a key does what the key does. Those marked “held” act after half a second, and so do those of layers that stay when others are cleared. Digits with Shift switch screen plans, with Alt they arm the sections of a song; a clicker’s keys are page down, page up and B.`}
        </p>
        <PadsHere />
        <ul className="mt-5 grid max-w-5xl gap-x-8 md:grid-cols-2">
          {AIR_ACTION_IDS.map((action) => (
            <li
              key={action}
              className="flex min-h-13 items-center gap-2 border-b border-edge py-1.5 text-[16px]"
            >
              <span className="mr-auto">
                {AIR_ACTIONS[action].name}
                {AIR_ACTIONS[action].isGuarded && (
                  <span className="ml-2 text-[14px] text-second">{t`held`}</span>
                )}
              </span>
              {keysOf(keys, action).map((key) => (
                <button
                  key={key}
                  type="button"
                  aria-label={t`Take ${nameOfKey(key)} from ${AIR_ACTIONS[action].name}`}
                  onClick={() => void save(removeKey(keys, action, key))}
                  className="group flex min-h-8 items-center gap-1 rounded-md px-1 hover:bg-lifted"
                >
                  <kbd>{nameOfKey(key)}</kbd>
                  <X aria-hidden="true" className="size-3.5 text-second group-hover:text-paper" />
                </button>
              ))}
              <button
                type="button"
                aria-label={t`Another key for ${AIR_ACTIONS[action].name}`}
                aria-pressed={waiting === action}
                onClick={() => setWaiting(waiting === action ? null : action)}
                className="flex min-h-8 items-center gap-1 rounded-md bg-lifted px-2 text-[14px] hover:bg-edge aria-pressed:bg-act-ground aria-pressed:text-act"
              >
                {waiting === action ? t`press a key…` : <Plus aria-hidden="true" className="size-4" />}
              </button>
              {waiting === action && canBeRemote(action) && (
                <OscKey
                  onTyped={(address) => {
                    setWaiting(null);
                    void save(addKey(keys, action, address));
                  }}
                />
              )}
            </li>
          ))}
        </ul>
      </div>
      <NoticeBar />
    </main>
  );
}
