import type { ReactNode } from "react";
import { useRef } from "react";
import { AIR_ACTIONS, type AirAction, type KeyMap, keysOf, nameOfKey } from "../../core/keys/keyMap.ts";
import { actToUndo } from "../../core/show/acts.ts";
import { outTarget } from "../../core/show/meaning.ts";
import { actWords } from "../desk/actWords.ts";
import { useDeskStore } from "../desk/deskContext.ts";
import type { DeskSnapshot } from "../desk/deskStore.ts";
import { forecastWords } from "./forecastWords.ts";
import type { AirActs } from "./useAirActs.ts";
import { HOLD_MS } from "./useAirKeys.ts";
import { useKeysElsewhere } from "./useKeysElsewhere.ts";

/** The commands that change the air, as buttons. The take is the one bright control; under it stands what it would do. */
export function TakeBar({
  desk,
  map,
  acts,
  held,
  nowMs,
}: {
  desk: DeskSnapshot;
  map: KeyMap;
  acts: AirActs;
  held: AirAction | null;
  nowMs: number | null;
}) {
  const store = useDeskStore();
  const keysElsewhere = useKeysElsewhere();
  const keyOf = (action: AirAction) => nameOfKey(keysOf(map, action)[0] ?? "");
  const { state, next } = desk;
  const act = actToUndo(state.acts, store.windowId);
  const armed = state.arm !== null;
  const out = outTarget(state, nowMs ?? 0);
  const outName = state.layers.find(({ id }) => id === out?.layerId)?.name;
  const isBlack = Object.values(state.shutters).some(
    ({ untilMs, picture, byAll }) => untilMs === null && byAll && picture === "black",
  );
  const undoWords = act ? actWords(act, desk, store.windowId) : "";
  return (
    <section
      aria-label="Air"
      className="flex flex-col gap-1.5 border-t border-l border-edge bg-raised p-2.5 max-lg:border-l-0"
    >
      <div
        // A click leaves the focus where it was: Enter must not press the take again.
        onMouseDown={(event) => event.preventDefault()}
        role="toolbar"
        aria-label="Take"
        className="flex min-h-0 flex-1 items-stretch gap-2 max-sm:flex-col"
      >
        <button
          type="button"
          disabled={!next}
          onClick={() => acts.act("take")}
          className="flex w-[120px] shrink-0 items-center justify-center gap-1.5 rounded-lg bg-next px-2 py-1 text-[18px] font-bold text-on-bright hover:brightness-110 disabled:bg-lifted disabled:text-second max-sm:min-h-16 max-sm:w-full sm:flex-col xl:text-[20px]"
        >
          {armed ? "Take armed" : "Take next"}
          <kbd className="border-on-bright/40! bg-transparent! text-on-bright!">{keyOf("take")}</kbd>
        </button>
        <div className="grid flex-1 grid-cols-[minmax(0,0.8fr)_minmax(0,1.3fr)_minmax(0,1.5fr)_repeat(3,minmax(0,1fr))] gap-1.5">
          <Small label="Cut" keyName={keyOf("cut")} disabled={!next} onPress={() => acts.act("cut")} />
          <Small
            label={outName ? `${outName} out` : "Out"}
            keyName={keyOf("out")}
            disabled={!out}
            onPress={() => acts.act("out")}
          />
          <Small
            label="Undo"
            detail={undoWords}
            keyName={keyOf("undo")}
            disabled={!act}
            onPress={() => acts.act("undo")}
            title={act ? `${keyOf("undo")} puts back: ${undoWords}` : "Nothing to undo"}
          />
          {(["clear", "clearEverything", "black"] as const).map((action) => (
            <Hold
              key={action}
              label={action === "black" ? (isBlack ? "Picture" : "Black") : AIR_ACTIONS[action].name}
              keyName={keyOf(action)}
              held={held === action}
              onHeld={() => acts.act(action)}
            />
          ))}
        </div>
      </div>
      <p
        data-forecast
        className={`h-[21px] truncate text-[14px] ${keysElsewhere ? "font-semibold text-attention" : "text-second"}`}
        title={nowMs === null ? undefined : forecastWords(desk, store.windowId, nowMs)}
      >
        {keysElsewhere
          ? `Keys go to ${keysElsewhere}: Ctrl+Enter takes, Esc gives them back`
          : nowMs !== null && forecastWords(desk, store.windowId, nowMs)}
      </p>
    </section>
  );
}

const smallClass =
  "relative flex min-h-16 flex-col items-center justify-center gap-1 overflow-hidden rounded-lg bg-lifted px-0.5 text-center text-[14px] leading-tight wrap-anywhere text-paper hover:bg-edge disabled:text-quiet disabled:hover:bg-lifted";

function Small({
  label,
  detail,
  keyName,
  disabled,
  onPress,
  title,
}: {
  label: string;
  /** What it does it to, in small words. */
  detail?: string;
  keyName: string;
  disabled: boolean;
  onPress: () => void;
  title?: string;
}) {
  return (
    <button type="button" disabled={disabled} onClick={onPress} className={smallClass} title={title}>
      <span className="line-clamp-2">{label}</span>
      {detail && <span className="line-clamp-2 text-[13px] leading-tight text-second">{detail}</span>}
      <kbd>{keyName}</kbd>
    </button>
  );
}

/** A button that acts when it was held long enough; the filling shows how long still. */
function Hold({
  label,
  keyName,
  held,
  onHeld,
}: {
  label: string;
  keyName: string;
  held: boolean;
  onHeld: () => void;
}) {
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  const filling = useRef<HTMLSpanElement>(null);
  const release = () => {
    clearTimeout(timer.current);
    filling.current?.classList.remove("holding");
  };
  const hold = () => {
    filling.current?.classList.add("holding");
    timer.current = setTimeout(() => {
      onHeld();
      release();
    }, HOLD_MS);
  };
  return (
    <button
      type="button"
      className={`${smallClass} border border-edge-strong`}
      onPointerDown={hold}
      onPointerUp={release}
      onPointerLeave={release}
      onPointerCancel={release}
    >
      <HoldFill isHeld={held} fillRef={filling} />
      <span className="relative">{label}</span>
      <span className="relative flex items-center gap-1">
        <kbd>{keyName}</kbd>
      </span>
      <span className="sr-only">hold for half a second</span>
    </button>
  );
}

function HoldFill({
  isHeld,
  fillRef,
}: {
  isHeld: boolean;
  fillRef: React.RefObject<HTMLSpanElement | null>;
}): ReactNode {
  return (
    <span
      ref={fillRef}
      aria-hidden="true"
      className={`absolute inset-0 origin-left scale-x-0 bg-edge-strong [&.holding]:scale-x-100 [&.holding]:transition-transform [&.holding]:duration-500 [&.holding]:ease-linear ${isHeld ? "holding" : ""}`}
    />
  );
}
