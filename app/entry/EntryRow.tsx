import { useSortable } from "@dnd-kit/sortable";
import { CSS } from "@dnd-kit/utilities";
import { GripVertical } from "lucide-react";
import type { EntryTable } from "../../core/feeds/entryLink.ts";
import type { RowEdit } from "../../core/feeds/tableEdit.ts";
import { t } from "../../core/language/t.ts";
import { EntryCell } from "./EntryCell.tsx";

/** One row with big targets; dragged by its handle where that is allowed. */
export function EntryRow({
  row: { name, cells },
  table,
  isOff,
  onEdit,
}: {
  row: EntryTable["rows"][number];
  table: EntryTable;
  isOff: boolean;
  onEdit: (edit: RowEdit) => void;
}) {
  const { setNodeRef, setActivatorNodeRef, attributes, listeners, transform, transition, isDragging } =
    useSortable({ id: name, disabled: !table.mayMove || isOff });
  return (
    <li
      ref={setNodeRef}
      aria-label={name}
      style={{ transform: CSS.Transform.toString(transform), transition }}
      className={`flex rounded-xl bg-raised ${isDragging ? "relative z-10 shadow-lg outline-2 outline-act" : ""}`}
    >
      {table.mayMove && (
        <button
          ref={setActivatorNodeRef}
          type="button"
          {...attributes}
          {...listeners}
          disabled={isOff}
          aria-label={t`Move ${name}`}
          className="grid w-12 shrink-0 touch-none place-content-center rounded-l-xl text-second active:bg-lifted"
        >
          <GripVertical aria-hidden="true" className="size-6" />
        </button>
      )}
      <div className={`flex min-w-0 flex-1 flex-col gap-2 py-3 pr-3 ${table.mayMove ? "" : "pl-4"}`}>
        <h2 className="text-[19px] leading-snug font-semibold break-words">{name}</h2>
        {table.columns.map((column, i) => (
          <EntryCell
            key={column}
            label={`${name}, ${column}`}
            column={table.columns.length > 1 ? column : ""}
            kind={table.kinds[column] ?? "words"}
            choices={table.choices[column] ?? []}
            value={cells[i] ?? ""}
            isOff={isOff}
            onSet={(to, was) => onEdit({ kind: "setNamed", row: name, column, was, to })}
            onAdd={(by) => onEdit({ kind: "addNamed", row: name, column, by })}
          />
        ))}
      </div>
    </li>
  );
}
