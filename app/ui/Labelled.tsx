import type { ReactNode } from "react";

export const fieldClass =
  "w-full rounded-md border border-edge-strong bg-ground px-3 py-2 text-paper placeholder:text-quiet";

/** A small box in a line of words. */
export const boxClass =
  "min-h-9 max-w-full rounded-md border border-edge-strong bg-ground px-2 text-[15px] text-paper";

export function Labelled({
  id,
  label,
  aside = null,
  children,
}: {
  id: string;
  label: string;
  /** At the other end of the line that the label is on. */
  aside?: ReactNode;
  children: ReactNode;
}) {
  const name = (
    <label htmlFor={id} className="mb-1 block text-[14px] text-second">
      {label}
    </label>
  );
  return (
    <div className="min-w-0 flex-1">
      {aside === null ? (
        name
      ) : (
        <div className="flex items-end justify-between">
          {name}
          {aside}
        </div>
      )}
      {children}
    </div>
  );
}
