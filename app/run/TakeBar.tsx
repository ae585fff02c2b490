import type { ReactNode } from "react";
import { useRef } from "react";
import { AIR_ACTIONS, type AirAction, type KeyMap, keysOf, nameOfKey } from "../../core/keys/keyMap.ts";
import type { DeskSnapshot } from "../desk/deskStore.ts";
import type { AirActs } from "./useAirActs.ts";
import { HOLD_MS } from "./useAirKeys.ts";

/** The commands that change the air, as buttons. The take is the one bright control. */
export function TakeBar({
  desk,
  map,
  acts,
  outLayerId,
  outLayerName,
  held,
}: {
  desk: DeskSnapshot;
  map: KeyMap;
  acts: AirActs;
  outLayerId: string | undefined;
  outLayerName: string | undefined;
  held: AirAction | null;
}) {
  const keyOf = (action: AirAction) => nameOfKey(keysOf(map, action)[0] ?? "");
  const canUndo = desk.state.undo !== null && desk.state.undo.airRevision === desk.state.airRevision;
  const armed = desk.state.arm !== null;
  const isBlack = Object.values(desk.state.shutters).some(
    ({ untilMs, picture }) => untilMs === null && picture === "black",
  );
  return (
    <section aria-label="Air" className="border-t border-l border-edge bg-raised p-2.5">
      <div
        // A click leaves the focus where it was: Enter must not press the take again.
        onMouseDown={(event) => event.preventDefault()}
        role="toolbar"
        aria-label="Take"
        className="flex h-full items-stretch gap-2"
      >
        <button
          type="button"
          disabled={!desk.next}
          onClick={() => acts.act("take")}
          className="flex w-[120px] flex-col items-center justify-center gap-1.5 rounded-lg bg-next px-2 text-[18px] font-bold text-on-bright hover:brightness-110 disabled:bg-lifted disabled:text-second"
        >
          {armed ? "Take armed" : "Take next"}
          <kbd className="border-on-bright/40! bg-transparent! text-on-bright!">{keyOf("take")}</kbd>
        </button>
        <div className="grid flex-1 grid-cols-[minmax(0,1fr)_minmax(0,1.5fr)_repeat(4,minmax(0,1fr))] gap-1.5">
          <Small label="Cut" keyName={keyOf("cut")} disabled={!desk.next} onPress={() => acts.act("cut")} />
          <Small
            label={outLayerName ? `${outLayerName} out` : "Out"}
            keyName={keyOf("out")}
            disabled={!outLayerId}
            onPress={() => acts.act("out")}
          />
          <Small
            label="Undo take"
            keyName={keyOf("undo")}
            disabled={!canUndo}
            onPress={() => acts.act("undo")}
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
    </section>
  );
}

const smallClass =
  "relative flex min-h-16 flex-col items-center justify-center gap-1.5 overflow-hidden rounded-lg bg-lifted px-0.5 text-center text-[14px] leading-tight wrap-anywhere text-paper hover:bg-edge disabled:text-quiet disabled:hover:bg-lifted";

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
      {label}
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
