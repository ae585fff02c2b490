import { X } from "lucide-react";

/** Closes a panel. */
export function CloseButton({ label, onClose }: { label: string; onClose: () => void }) {
  return (
    <button
      type="button"
      aria-label={label}
      onClick={onClose}
      className="ml-auto grid size-10.5 shrink-0 place-content-center rounded-lg bg-lifted hover:bg-edge"
    >
      <X aria-hidden="true" className="size-4.5" />
    </button>
  );
}
