import type { ReactNode } from "react";

/** The keys of Prepare, and below them those of the air, which work here as chords. */
export function KeysLine() {
  return (
    <p className="flex shrink-0 flex-wrap items-center gap-x-2.5 gap-y-1 border-t border-edge bg-raised px-4 py-2 text-[14px] text-second">
      <Key name="↑ ↓">choose</Key>
      <Key name="Enter">edit</Key>
      <Key name="Alt+↑ ↓">move</Key>
      <Key name="D">duplicate</Key>
      <Key name="Del">delete</Key>
      <Key name="N">add</Key>
      <Key name="Ctrl+Z">undo</Key>
      <Key name="R">replace</Key>
      <Key name="F">find</Key>
      <span className="basis-full" />
      <Key name="Ctrl+Enter">take</Key>
      <Key name="Ctrl+Shift+O">out</Key>
      <Key name="Ctrl+Shift+K">black (hold)</Key>
      <Key name="Ctrl+Shift+U">undo on air</Key>
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
