import { memo } from "react";
import { AIR_ACTIONS, type AirAction, type KeyMap, keysOf, nameOfKey } from "../../core/keys/keyMap.ts";
import { t } from "../../core/language/t.ts";
import { actToUndo } from "../../core/show/acts.ts";
import { outTarget } from "../../core/show/meaning.ts";
import { describeAct } from "../desk/describeAct.ts";
import { useDesk, useDeskStore, useIsAlive } from "../desk/deskContext.ts";
import type { AirActs } from "../desk/useAirActs.ts";
import { usePresentTime } from "../desk/usePresentTime.ts";
import { HoldButton } from "../ui/HoldButton.tsx";
import { describeForecast } from "./describeForecast.ts";
import { useKeysElsewhere } from "./useKeysElsewhere.ts";

/** The commands that change the air, as buttons. The take is the one bright control; under it stands what it would do. */
export const TakeBar = memo(function TakeBar({
  map,
  acts,
  held,
}: {
  map: KeyMap;
  acts: AirActs;
  held: AirAction | null;
}) {
  const store = useDeskStore();
  const desk = useDesk("state", "next", "ready", "plans", "outputs", "cues");
  const isAlive = useIsAlive();
  const presentMs = usePresentTime();
  const keysElsewhere = useKeysElsewhere();
  const keyOf = (action: AirAction) => nameOfKey(keysOf(map, action)[0] ?? "");
  const { state, next } = desk;
  // Whose acts are whose is known once the page is alive: the server does not know this window.
  const act = !isAlive ? undefined : actToUndo(state.acts, store.windowId);
  const armed = state.arm !== null;
  const out = outTarget(state, presentMs ?? 0);
  const outName = state.layers.find(({ id }) => id === out?.layerId)?.name;
  const isBlack = Object.values(state.shutters).some(
    ({ untilMs, picture, byAll }) => untilMs === null && byAll && picture === "black",
  );
  const forecast = presentMs === null ? "" : describeForecast(desk, store.windowId, store.now());
  const undoName = act ? describeAct(act, desk, store.windowId) : "";
  return (
    <section
      aria-label={t`Air`}
      className="flex flex-col gap-1.5 border-t border-l border-edge bg-raised p-2.5 max-lg:border-l-0"
    >
      <div
        // A click leaves the focus where it was: Enter must not press the take again.
        onMouseDown={(event) => event.preventDefault()}
        role="toolbar"
        aria-label={t`Take`}
        className="flex min-h-0 flex-1 items-stretch gap-2 max-sm:flex-col"
      >
        <button
          type="button"
          disabled={!next}
          onClick={() => acts.act("take")}
          className="flex w-[128px] shrink-0 items-center justify-center gap-1.5 rounded-lg bg-next px-2 py-1 text-[18px] font-bold whitespace-nowrap text-on-bright hover:brightness-110 disabled:bg-lifted disabled:text-second max-sm:min-h-16 max-sm:w-full sm:flex-col"
        >
          {armed ? t`Take armed` : t`Take next`}
          <kbd className="border-on-bright/40! bg-transparent! text-on-bright!">{keyOf("take")}</kbd>
        </button>
        <div className="grid flex-1 grid-cols-[minmax(0,0.95fr)_minmax(0,1.3fr)_repeat(3,minmax(0,1fr))_minmax(0,1.3fr)] gap-1.5">
          <Small label={t`Cut`} keyName={keyOf("cut")} disabled={!next} onPress={() => acts.act("cut")} />
          <Small
            label={outName ? t`${outName} out` : t`Out`}
            keyName={keyOf("out")}
            disabled={!out}
            onPress={() => acts.act("out")}
          />
          <Small label={t`Undo`} keyName={keyOf("undo")} disabled={!act} onPress={() => acts.act("undo")} />
          {(["clear", "clearEverything", "black"] as const).map((action) => (
            <HoldButton
              key={action}
              isHeld={held === action}
              onHeld={() => acts.act(action)}
              className={`${smallClass} border border-edge-strong`}
            >
              <span>{action === "black" ? (isBlack ? t`Picture` : t`Black`) : AIR_ACTIONS[action].name}</span>
              <kbd>{keyOf(action)}</kbd>
            </HoldButton>
          ))}
        </div>
      </div>
      <div className="text-[14px] leading-[20px]">
        {keysElsewhere ? (
          <p className="truncate font-semibold text-attention">
            {t`Keys go to ${keysElsewhere}: Ctrl+Enter takes, Esc gives them back`}
          </p>
        ) : (
          <p data-forecast className="truncate" title={forecast}>
            {forecast}
          </p>
        )}
        <p className="truncate text-second" title={undoName}>
          {act ? t`${keyOf("undo")} puts back: ${undoName}` : t`Nothing to undo`}
        </p>
      </div>
    </section>
  );
});

const smallClass =
  "relative flex min-h-16 max-sm:min-h-12 flex-col items-center justify-center gap-1 overflow-hidden rounded-lg bg-lifted px-0.5 text-center text-[14px] leading-tight wrap-anywhere text-paper hover:bg-edge disabled:text-quiet disabled:hover:bg-lifted";

function Small({
  label,
  keyName,
  disabled,
  onPress,
}: {
  label: string;
  keyName: string;
  disabled: boolean;
  onPress: () => void;
}) {
  return (
    <button type="button" disabled={disabled} onClick={onPress} className={smallClass}>
      <span className="line-clamp-2">{label}</span>
      <kbd>{keyName}</kbd>
    </button>
  );
}
