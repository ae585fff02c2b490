import { DndContext, type DragEndEvent, PointerSensor, useSensor, useSensors } from "@dnd-kit/core";
import { ArrowDown, ArrowDownUp, ArrowUp, Plus, Trash2, Undo2 } from "lucide-react";
import { type ReactNode, useEffect, useMemo, useRef, useState } from "react";
import { type DataSheetGridRef, DynamicDataSheetGrid } from "react-datasheet-grid";
import { t } from "../../../core/language/t.ts";
import "react-datasheet-grid/dist/style.css";
import type { FeedDoc } from "../../../core/feeds/feed.ts";
import type { FeedView } from "../../../core/feeds/feedView.ts";
import { isTyping } from "../../ui/isTyping.ts";
import { fieldClass } from "../../ui/Labelled.tsx";
import { useKeys } from "../../ui/useKeys.ts";
import { gridColumn } from "./cells.tsx";
import { widePaste } from "./pastedBlock.ts";
import { RowGrip } from "./RowGrip.tsx";
import { type GridChange, type GridRow, tableEditsOf } from "./tableEditsOf.ts";
import { rowOf, useTableEdits } from "./useTableEdits.ts";

const ROW_PX = 36;
const MOST_SHOWN = 14;
/** Less is a press on the row's number. */
const DRAG_FROM_PX = 4;

/** A table of the venue, edited as a spreadsheet is: arrows, Enter, Tab, blocks that are pasted, rows that are dragged. */
export function TableGrid({ feed, onSave }: { feed: FeedView; onSave: (change: Partial<FeedDoc>) => void }) {
  const { columns, kinds, doc } = feed;
  const { shown, setShown, send, undo } = useTableEdits(feed);
  const [active, setActive] = useState<{ readonly row: number; readonly column: string | undefined }>();
  const isChosen = useRef(false);
  const sheet = useRef<DataSheetGridRef>(null);
  // The grid would keep the keys of a cell that was left by other means than the pointer.
  useEffect(() => {
    const onFocus = ({ target }: FocusEvent) => {
      if (target instanceof Element && target.closest(".table-grid") === null)
        sheet.current?.setActiveCell(null);
    };
    document.addEventListener("focusin", onFocus);
    return () => document.removeEventListener("focusin", onFocus);
  }, []);
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: DRAG_FROM_PX } }));
  const grid = useMemo(
    () =>
      columns.map((column) => ({
        ...gridColumn(column, kinds[column] ?? "words", doc.rules[column]?.oneOf ?? []),
        title: column,
        minWidth: 110,
      })),
    [columns, kinds, doc.rules],
  );
  const onChange = (value: GridRow[], changes: readonly GridChange[]) => {
    setShown(value);
    send(tableEditsOf(columns, shown, value, changes));
  };
  const add = () => {
    const at = shown.length;
    onChange([...shown, rowOf(columns, [])], [{ type: "CREATE", fromRowIndex: at, toRowIndex: at + 1 }]);
  };
  const move = (from: number, to: number) => {
    const row = shown[from];
    if (!row || to < 0 || to >= shown.length || to === from) return;
    const others = shown.filter((_, i) => i !== from);
    setShown([...others.slice(0, to), row, ...others.slice(to)]);
    if (active?.row === from) setActive({ ...active, row: to });
    send([{ kind: "moveRow", from, to, was: columns.map((column) => row[column] ?? "") }]);
  };
  const moveActive = (by: -1 | 1) => active && move(active.row, active.row + by);
  const onDragEnd = ({ active: dragged, over }: DragEndEvent) => {
    const from = dragged.data.current?.rowIndex;
    const to = over?.data.current?.rowIndex;
    if (typeof from === "number" && typeof to === "number") move(from, to);
  };
  const column = active?.column;
  const pasteWide = (event: ClipboardEvent) => {
    if (!isChosen.current || !active || isTyping(event.target)) return;
    const at = { row: active.row, column: Math.max(0, columns.indexOf(column ?? "")) };
    const cells = shown.map((row) => columns.map((each) => row[each] ?? ""));
    const edits = widePaste(event.clipboardData?.getData("text/plain") ?? "", at, columns, cells);
    if (!edits) return;
    event.preventDefault();
    event.stopImmediatePropagation();
    send(edits);
  };
  const latestPaste = useRef(pasteWide);
  latestPaste.current = pasteWide;
  // Before the grid, which would leave out what has no room.
  useEffect(() => {
    const onPaste = (event: ClipboardEvent) => latestPaste.current(event);
    document.addEventListener("paste", onPaste, true);
    return () => document.removeEventListener("paste", onPaste, true);
  }, []);
  // The grid has the keys while one of its cells is chosen; a box that is typed in has an undo of its own.
  const where = (target: EventTarget | null) => isChosen.current && !isTyping(target);
  useKeys({
    "$mod+z": { run: undo, where },
    "Alt+ArrowUp": { run: () => moveActive(-1), where },
    "Alt+ArrowDown": { run: () => moveActive(1), where },
  });

  return (
    <section aria-label={t`Its table`} className="flex min-w-0 flex-col gap-3">
      <div className="flex flex-wrap items-center gap-2">
        <Tool onPress={add}>
          <Plus aria-hidden="true" className="size-4" /> {t`Row`}
        </Tool>
        <Tool isOff={!active} title={t`Alt and arrow up`} onPress={() => moveActive(-1)}>
          <ArrowUp aria-hidden="true" className="size-4" /> {t`Row up`}
        </Tool>
        <Tool isOff={!active} title={t`Alt and arrow down`} onPress={() => moveActive(1)}>
          <ArrowDown aria-hidden="true" className="size-4" /> {t`Row down`}
        </Tool>
        <Tool
          isOff={column === undefined}
          onPress={() =>
            column !== undefined && send([{ kind: "sortRows", column, down: kinds[column] === "number" }])
          }
        >
          <ArrowDownUp aria-hidden="true" className="size-4" /> {t`Sort by ${column ?? t`the column`}`}
        </Tool>
        <Tool onPress={undo}>
          <Undo2 aria-hidden="true" className="size-4" /> {t`Undo`} <kbd>Ctrl+Z</kbd>
        </Tool>
        <label className="ml-auto flex items-center gap-2 text-[15px] text-second">
          {t`Rows are named by`}
          <select
            value={doc.keyColumn}
            onChange={({ target }) => onSave({ keyColumn: target.value })}
            className="min-h-9 rounded-md border border-edge-strong bg-ground px-2 text-[15px] text-paper"
          >
            <option value="">{t`nothing`}</option>
            {columns.map((each) => (
              <option key={each}>{each}</option>
            ))}
          </select>
        </label>
      </div>
      <DndContext sensors={sensors} onDragEnd={onDragEnd}>
        <DynamicDataSheetGrid<GridRow>
          ref={sheet}
          className="table-grid"
          value={shown}
          onChange={onChange}
          columns={grid}
          gutterColumn={{ component: RowGrip, basis: 48, title: "" }}
          createRow={() => rowOf(columns, [])}
          rowHeight={ROW_PX}
          headerRowHeight={ROW_PX}
          height={ROW_PX * (Math.min(MOST_SHOWN, shown.length) + 1) + 2}
          addRowsComponent={false}
          autoAddRow
          disableContextMenu
          onActiveCellChange={({ cell }) => {
            isChosen.current = cell !== null;
            // The buttons act on the cell that was left for them.
            if (cell) setActive({ row: cell.row, column: cell.colId });
          }}
        />
      </DndContext>
      {shown.length === 0 && (
        <p className="text-[15px] text-second">
          {t`No rows yet. Press Row and type, or press a cell and paste a block from a spreadsheet.`}
        </p>
      )}
      <div className="flex flex-wrap items-center gap-x-6 gap-y-2 text-[15px]">
        <NameForm
          label={t`New column`}
          action={t`Add`}
          onName={(name) => send([{ kind: "addColumn", name }])}
        />
        {column !== undefined && columns.includes(column) && (
          <>
            <NameForm
              key={column}
              label={t`Call “${column}”`}
              action={t`Rename`}
              onName={(to) => {
                send([{ kind: "renameColumn", from: column, to }]);
                setActive({ row: active?.row ?? 0, column: to });
              }}
            />
            <Tool isOff={columns.length < 2} onPress={() => send([{ kind: "removeColumn", name: column }])}>
              <Trash2 aria-hidden="true" className="size-4" /> {t`Remove “${column}”`}
            </Tool>
          </>
        )}
      </div>
    </section>
  );
}

function Tool({
  onPress,
  isOff = false,
  title,
  children,
}: {
  onPress: () => void;
  isOff?: boolean;
  title?: string;
  children: ReactNode;
}) {
  return (
    <button
      type="button"
      disabled={isOff}
      title={title}
      onClick={onPress}
      className="flex min-h-9 items-center gap-1.5 rounded-md bg-lifted px-3 text-[15px] hover:bg-edge disabled:text-quiet"
    >
      {children}
    </button>
  );
}

function NameForm({
  label,
  action,
  onName,
}: {
  label: string;
  action: string;
  onName: (name: string) => void;
}) {
  const [name, setName] = useState("");
  const isEmpty = name.trim() === "";
  return (
    <form
      className="flex items-center gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        if (isEmpty) return;
        onName(name.trim());
        setName("");
      }}
    >
      <label className="flex items-center gap-2 text-second">
        {label}
        <input
          value={name}
          maxLength={40}
          onChange={({ target }) => setName(target.value)}
          className={`${fieldClass} w-36! text-[15px] text-paper`}
        />
      </label>
      <button
        type="submit"
        disabled={isEmpty}
        className="min-h-9 rounded-md bg-lifted px-3 hover:bg-edge disabled:text-quiet"
      >
        {action}
      </button>
    </form>
  );
}
