import { closestCenter, DndContext, type DragEndEvent } from "@dnd-kit/core";
import { SortableContext, verticalListSortingStrategy } from "@dnd-kit/sortable";
import { Check, CloudOff } from "lucide-react";
import type { EntryTable } from "../../core/feeds/entryLink.ts";
import { shownRows, type Unsettled } from "../../core/feeds/entryQueue.ts";
import { t } from "../../core/language/t.ts";
import { useListSensors } from "../ui/useListSensors.ts";
import { EntryRow } from "./EntryRow.tsx";
import { type Connection, useEntry } from "./useEntry.ts";

/** Some cells of one table, on a phone in the hall. It can do nothing else. */
export function EntryView({ token, start }: { token: string; start: EntryTable }) {
  const { told, own, connection, edit, insist, letGo } = useEntry(token, start);
  const rows = shownRows(told, own);
  const sensors = useListSensors();
  const isOff = connection === "ended" || connection === "opening";
  const onDragEnd = ({ active, over }: DragEndEvent) => {
    const names = rows.map(({ name }) => name);
    const from = names.indexOf(String(active.id));
    const to = over ? names.indexOf(String(over.id)) : -1;
    if (from < 0 || to < 0 || from === to) return;
    const others = names.filter((_, i) => i !== from);
    edit({ kind: "moveNamed", row: String(active.id), after: others[to - 1] ?? null });
  };
  return (
    <main data-desk className="mx-auto flex min-h-dvh max-w-xl flex-col gap-3 px-3 pb-8">
      <header className="sticky top-0 z-10 -mx-3 flex flex-col gap-1 border-b border-edge bg-raised px-4 py-3">
        <h1 className="text-[22px] leading-tight font-bold">{told.tableName}</h1>
        <p className="text-[15px] text-second">{told.name}</p>
        <Sending connection={connection} waiting={own.queue.length} unsettled={own.unsettled.length} />
      </header>
      {own.unsettled.map((one) => (
        <UnsettledCard key={one.id} one={one} onInsist={() => insist(one.id)} onLetGo={() => letGo(one.id)} />
      ))}
      {rows.length === 0 && (
        <p className="px-1 text-[17px] text-second">
          {t`No rows are in this table now. They come by themselves.`}
        </p>
      )}
      <DndContext sensors={sensors} collisionDetection={closestCenter} onDragEnd={onDragEnd}>
        <SortableContext items={rows.map(({ name }) => name)} strategy={verticalListSortingStrategy}>
          <ul className="flex flex-col gap-2.5">
            {rows.map((row) => (
              <EntryRow key={row.name} row={row} table={told} isOff={isOff} onEdit={edit} />
            ))}
          </ul>
        </SortableContext>
      </DndContext>
    </main>
  );
}

function Sending({
  connection,
  waiting,
  unsettled,
}: {
  connection: Connection;
  waiting: number;
  unsettled: number;
}) {
  const all = unsettled === 0 ? t`All` : t`All but what stands below`;
  const changes = waiting === 1 ? t`1 change` : t`${waiting} changes`;
  if (connection === "opening") return <p className="text-[15px] text-second">{t`Opening…`}</p>;
  if (connection === "reached")
    return (
      <p role="status" className="flex items-center gap-2 text-[15px] text-second">
        <Check aria-hidden="true" className="size-4.5 text-act" />
        {waiting === 0 ? t`${all} is in the table.` : t`${changes} on the way…`}
      </p>
    );
  const kept =
    waiting === 0
      ? t`Go on: what you do is kept and sent in order.`
      : t`${changes} wait here, and are sent in order.`;
  return (
    <p role="status" className="flex items-center gap-2 text-[16px] font-semibold text-attention">
      <CloudOff aria-hidden="true" className="size-5 shrink-0" />
      {connection === "lost"
        ? t`No connection. ${kept}`
        : t`The desk has ended this link.${waiting === 0 ? t` ${all} is in the table.` : t` ${changes} did not get there; tell the desk.`}`}
    </p>
  );
}

/** What is not in the table, and what to do about it. */
function UnsettledCard({
  one,
  onInsist,
  onLetGo,
}: {
  one: Unsettled;
  onInsist: () => void;
  onLetGo: () => void;
}) {
  const { edit, now } = one;
  const button = "min-h-12 flex-1 rounded-lg border border-attention px-3 text-[17px] font-semibold";
  return (
    <section
      aria-label={t`Not in the table`}
      className="flex flex-col gap-3 rounded-xl border border-attention bg-attention-ground p-4 text-[17px]"
    >
      <p>
        {one.sentence} {edit.kind === "setNamed" && t`You typed “${edit.to}”.`}
      </p>
      <div className="flex gap-3">
        {edit.kind === "setNamed" && now !== null && (
          <button type="button" className={button} onClick={onInsist}>
            {t`Write “${edit.to}”`}
          </button>
        )}
        <button type="button" className={button} onClick={onLetGo}>
          {now === null ? t`I have read it` : t`Leave “${now}”`}
        </button>
      </div>
    </section>
  );
}
