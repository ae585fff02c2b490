import type { ReactNode } from "react";
import { t } from "../../core/language/t.ts";
import type { RemotePress } from "../../core/remote/remoteLink.ts";
import { HoldButton } from "../ui/HoldButton.tsx";

/** Large, at the thumb: what is next comes, the step before is armed, what is on air leaves. */
export function PressButtons({
  isHeld,
  isOff,
  hasNext,
  mayOut,
  onPress,
}: {
  /** A take is held for half a second. */
  isHeld: boolean;
  isOff: boolean;
  hasNext: boolean;
  mayOut: boolean;
  onPress: (press: RemotePress) => void;
}) {
  return (
    <div className="flex flex-none flex-col gap-2.5">
      <div className="flex gap-2.5">
        <Side disabled={isOff} onPress={() => onPress("back")}>
          {t`Step before`}
        </Side>
        {mayOut && (
          <Side disabled={isOff} onPress={() => onPress("out")}>
            {t`Out`}
          </Side>
        )}
      </div>
      {isHeld ? (
        <HoldButton
          disabled={isOff || !hasNext}
          onHeld={() => onPress("take")}
          className={`${TAKE} relative overflow-hidden`}
        >
          {t`Hold to take`}
        </HoldButton>
      ) : (
        <button type="button" disabled={isOff || !hasNext} onClick={() => onPress("take")} className={TAKE}>
          {hasNext ? t`Take` : t`The end`}
        </button>
      )}
    </div>
  );
}

const TAKE =
  "min-h-[20dvh] w-full touch-manipulation rounded-2xl bg-next text-[34px] font-bold text-on-bright active:brightness-90 disabled:bg-lifted disabled:text-quiet";

function Side({
  disabled,
  onPress,
  children,
}: {
  disabled: boolean;
  onPress: () => void;
  children: ReactNode;
}) {
  return (
    <button
      type="button"
      disabled={disabled}
      onClick={onPress}
      className="min-h-14 flex-1 touch-manipulation rounded-xl bg-lifted text-[18px] font-semibold active:bg-edge disabled:text-quiet"
    >
      {children}
    </button>
  );
}
