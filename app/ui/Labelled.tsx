import type { ReactNode } from "react";

export const fieldClass =
  "w-full rounded-md border border-edge-strong bg-ground px-3 py-2 text-paper placeholder:text-quiet";

export function Labelled({ id, label, children }: { id: string; label: string; children: ReactNode }) {
  return (
    <div className="min-w-0 flex-1">
      <label htmlFor={id} className="mb-1 block text-[14px] text-second">
        {label}
      </label>
      {children}
    </div>
  );
}
