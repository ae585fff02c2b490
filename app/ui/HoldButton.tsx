import { type ReactNode, useEffect, useRef } from "react";
import { t } from "../../core/language/t.ts";

/** What is dangerous acts only after it was held this long. */
export const HOLD_MS = 500;

/**
 * A button that acts when it was held long enough, by the pointer or by Enter or Space; the filling shows how long still.
 * @param isHeld a key of its own is being held
 */
export function HoldButton({
  isHeld = false,
  onHeld,
  className,
  title,
  disabled = false,
  children,
}: {
  isHeld?: boolean;
  onHeld: () => void;
  className: string;
  title?: string;
  disabled?: boolean;
  children: ReactNode;
}) {
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  const filling = useRef<HTMLSpanElement>(null);
  const release = () => {
    clearTimeout(timer.current);
    timer.current = undefined;
    filling.current?.classList.remove("holding");
  };
  const hold = () => {
    if (disabled || timer.current !== undefined) return;
    filling.current?.classList.add("holding");
    timer.current = setTimeout(() => {
      onHeld();
      release();
    }, HOLD_MS);
  };
  useEffect(() => () => clearTimeout(timer.current), []);
  return (
    <button
      type="button"
      disabled={disabled}
      title={title}
      className={`relative overflow-hidden ${className}`}
      onPointerDown={hold}
      onPointerUp={release}
      onPointerLeave={release}
      onPointerCancel={release}
      onKeyDown={({ key }) => (key === "Enter" || key === " ") && hold()}
      onKeyUp={release}
      onBlur={release}
    >
      <span
        ref={filling}
        aria-hidden="true"
        className={`absolute inset-0 origin-left scale-x-0 bg-edge-strong [&.holding]:scale-x-100 [&.holding]:transition-transform [&.holding]:duration-500 [&.holding]:ease-linear ${isHeld ? "holding" : ""}`}
      />
      <span className="relative contents *:relative">{children}</span>
      <span className="sr-only">{t`hold for half a second`}</span>
    </button>
  );
}
