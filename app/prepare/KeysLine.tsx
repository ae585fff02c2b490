import type { ReactNode } from "react";
import { t } from "../../core/language/t.ts";

/** The keys of Prepare, and below them those of the air, which work here as chords. */
export function KeysLine() {
  return (
    <p className="flex shrink-0 flex-wrap items-center gap-x-2.5 gap-y-1 border-t border-edge bg-raised px-4 py-2 text-[14px] text-second">
      <Key name="↑ ↓">{t`choose`}</Key>
      <Key name="Enter">{t`edit`}</Key>
      <Key name="Alt+↑ ↓">{t`move`}</Key>
      <Key name="D">{t`duplicate`}</Key>
      <Key name="Del">{t`delete`}</Key>
      <Key name="N">{t`add`}</Key>
      <Key name="Ctrl+Z">{t`undo`}</Key>
      <Key name="R">{t`replace`}</Key>
      <Key name="F">{t`find`}</Key>
      <span className="basis-full" />
      <Key name="Ctrl+Enter">{t`take`}</Key>
      <Key name="Ctrl+Shift+O">{t`out`}</Key>
      <Key name="Ctrl+Shift+K">{t`black (hold)`}</Key>
      <Key name="Ctrl+Shift+U">{t`undo on air`}</Key>
    </p>
  );
}

function Key({ name, children }: { name: string; children: ReactNode }) {
  return (
    <span className="inline-flex items-center gap-1.5">
      <kbd>{name}</kbd> {children}
    </span>
  );
}
