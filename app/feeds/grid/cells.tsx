import { useLayoutEffect, useRef } from "react";
import { type CellProps, type Column, createTextColumn, keyColumn } from "react-datasheet-grid";
import type { ColumnKindName } from "../../../core/feeds/columnKinds.ts";
import type { GridRow } from "./tableEditsOf.ts";

type Text = string | undefined;

const words = createTextColumn<Text>({ continuousUpdates: false, deletedValue: "" });
const figures = createTextColumn<Text>({ continuousUpdates: false, deletedValue: "", alignRight: true });

/** How a column of a table is edited, by what it holds. @param oneOf the only texts that are allowed; empty: any */
export function gridColumn(
  column: string,
  kind: ColumnKindName,
  oneOf: readonly string[],
): Partial<Column<GridRow>> {
  if (oneOf.length > 0) return keyColumn<GridRow, string>(column, chosen(oneOf));
  if (kind === "yesNo") return keyColumn<GridRow, string>(column, chosen(["yes", "no"]));
  return keyColumn<GridRow, string>(column, kind === "number" ? figures : words);
}

/** One of a few texts, chosen from a list; whatever else stands there stays until it is chosen otherwise. */
const chosen = (choices: readonly string[]): Partial<Column<Text, readonly string[], string>> => ({
  component: ChoiceCell,
  columnData: choices,
  keepFocus: true,
  deleteValue: () => "",
  copyValue: ({ rowData }) => rowData ?? "",
  pasteValue: ({ value }) => value.trim(),
  isCellEmpty: ({ rowData }) => !rowData,
});

function ChoiceCell({
  rowData,
  setRowData,
  focus,
  stopEditing,
  columnData,
}: CellProps<Text, readonly string[]>) {
  const box = useRef<HTMLSelectElement>(null);
  useLayoutEffect(() => {
    if (focus) box.current?.focus();
    else box.current?.blur();
  }, [focus]);
  const value = rowData ?? "";
  const others = value === "" || columnData.includes(value) ? [] : [value];
  return (
    <select
      ref={box}
      tabIndex={-1}
      value={value}
      onChange={({ target }) => {
        setRowData(target.value);
        stopEditing({ nextRow: false });
      }}
      className="h-full w-full bg-transparent px-2 text-[15px]"
      style={{ pointerEvents: focus ? undefined : "none" }}
    >
      <option value="" />
      {[...others, ...columnData].map((choice) => (
        <option key={choice}>{choice}</option>
      ))}
    </select>
  );
}
