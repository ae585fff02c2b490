import { ArrowLeft, Download, Redo2, Undo2 } from "lucide-react";
import type { ReactNode } from "react";
import { Link } from "react-router";
import type { DesignState } from "../../../core/design/designEdit.ts";
import { t } from "../../../core/language/t.ts";
import { toolClass } from "./properties/styles.ts";

/** What is being made: its name, how it stands, one step back and forward; and what is done with the whole of it. */
export function RoomHead({
  name,
  nameLabel,
  facts,
  snapshot: { state, isSaving, isUnsaved },
  onRename,
  onStep,
  packed,
  tools = null,
  children,
}: {
  name: string;
  nameLabel: string;
  facts: string;
  snapshot: { readonly state: DesignState; readonly isSaving: boolean; readonly isUnsaved: boolean };
  onRename: (name: string) => void;
  onStep: (direction: "undo" | "redo") => void;
  /** Where it lies as a file, with its pictures and fonts. */
  packed: string;
  tools?: ReactNode;
  children: ReactNode;
}) {
  return (
    <header className="flex shrink-0 flex-wrap items-center gap-x-3 gap-y-1 border-b border-edge bg-raised px-3 py-1.5">
      <Link to="/design" aria-label={t`Back to Design`} className={toolClass}>
        <ArrowLeft aria-hidden="true" className="size-4.5" />
      </Link>
      <input
        aria-label={nameLabel}
        key={name}
        defaultValue={name}
        maxLength={80}
        onBlur={({ target }) => {
          const typed = target.value.trim();
          if (typed && typed !== name) onRename(typed);
          else target.value = name;
        }}
        onKeyDown={(event) => event.key === "Enter" && event.currentTarget.blur()}
        className="min-h-9 w-48 min-w-24 rounded-md border border-transparent bg-transparent px-2 text-[17px] font-semibold hover:border-edge-strong focus:border-act"
      />
      <span className="truncate text-[14px] text-second">{facts}</span>
      <span role="status" className={`text-[14px] ${isUnsaved ? "text-attention" : "text-second"}`}>
        {isUnsaved
          ? t`not saved yet: tried again`
          : isSaving
            ? t`saving…`
            : state.isDraft
              ? t`draft, not in use yet`
              : t`as it is in use`}
      </span>
      <span className="ml-auto flex items-center gap-3 text-[14px]">{tools}</span>
      <a
        href={packed}
        download
        aria-label={t`Export with its pictures and fonts`}
        title={t`Export with its pictures and fonts, as a ZIP`}
        className={toolClass}
      >
        <Download aria-hidden="true" className="size-4.5" />
      </a>
      <span className="flex items-center gap-1">
        <button
          type="button"
          aria-label={state.undo ? t`Undo: ${state.undo}` : t`Nothing to undo`}
          title={state.undo ? t`Undo: ${state.undo}` : undefined}
          disabled={!state.undo}
          onClick={() => onStep("undo")}
          className={toolClass}
        >
          <Undo2 aria-hidden="true" className="size-4.5" />
        </button>
        <button
          type="button"
          aria-label={state.redo ? t`Do again: ${state.redo}` : t`Nothing to do again`}
          title={state.redo ? t`Do again: ${state.redo}` : undefined}
          disabled={!state.redo}
          onClick={() => onStep("redo")}
          className={toolClass}
        >
          <Redo2 aria-hidden="true" className="size-4.5" />
        </button>
        {children}
      </span>
    </header>
  );
}
