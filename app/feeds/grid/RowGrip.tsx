import { useDraggable, useDroppable } from "@dnd-kit/core";
import type { CellProps } from "react-datasheet-grid";
import { t } from "../../../core/language/t.ts";
import type { GridRow } from "./tableEditsOf.ts";

/** The number of a row, by which it is dragged to another place. */
export function RowGrip({ rowIndex }: CellProps<GridRow, unknown>) {
  const { setNodeRef, listeners, isDragging } = useDraggable({ id: `row ${rowIndex}`, data: { rowIndex } });
  const { setNodeRef: setPlace, isOver } = useDroppable({ id: `place ${rowIndex}`, data: { rowIndex } });
  return (
    <div
      ref={(node) => {
        setNodeRef(node);
        setPlace(node);
      }}
      {...listeners}
      title={t`Drag to another place`}
      data-over={isOver || undefined}
      className={`grid size-full cursor-grab touch-none place-content-center tabular-nums text-second data-over:bg-act-ground data-over:text-act ${isDragging ? "bg-lifted text-act" : ""}`}
    >
      {rowIndex + 1}
    </div>
  );
}
