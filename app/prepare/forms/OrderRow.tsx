import { closestCenter, DndContext, type DragEndEvent } from "@dnd-kit/core";
import { arrayMove, rectSortingStrategy, SortableContext, useSortable } from "@dnd-kit/sortable";
import { CSS } from "@dnd-kit/utilities";
import { Plus } from "lucide-react";
import { DropdownMenu } from "radix-ui";
import type { ReactNode } from "react";
import { t } from "../../../core/language/t.ts";
import type { SongSection } from "../../../core/words/song.ts";
import {
  formatOrder,
  type OrderItem,
  type SongOrder,
  type UnknownToken,
} from "../../../core/words/songOrder.ts";
import { fieldClass, Labelled } from "../../ui/Labelled.tsx";
import { useListSensors } from "../../ui/useListSensors.ts";

/** The order a song is sung in: typed, or the sections dragged; "-" is a blank step. */
export function OrderRow({
  id,
  typed,
  order,
  sections,
  onType,
  children,
}: {
  id: string;
  typed: string;
  order: SongOrder;
  sections: readonly SongSection[];
  onType: (order: string) => void;
  /** Stands before it on the same line. */
  children: ReactNode;
}) {
  const { items, unknown } = order;
  const ids = items.map((item, at) => `${at}:${nameOf(item)}`);
  const sensors = useListSensors();
  const onDragEnd = ({ active, over }: DragEndEvent) => {
    if (!over || active.id === over.id) return;
    onType(formatOrder(arrayMove([...items], ids.indexOf(String(active.id)), ids.indexOf(String(over.id)))));
  };
  const labels = new Map(sections.map(({ key, label }) => [key, label]));
  return (
    <div className="flex flex-col gap-2">
      <div className="flex items-end gap-3">
        {children}
        <Labelled id={id} label={t`Order`}>
          <input
            id={id}
            value={typed}
            maxLength={2_000}
            spellCheck={false}
            placeholder={formatOrder(items)}
            title={t`Such as V1 C V2 C x2, or verse 1 - chorus; _ is a blank step; empty sings it as the text has it`}
            onChange={(event) => onType(event.target.value)}
            className={`${fieldClass} font-mono text-[16px]`}
          />
        </Labelled>
        <DropdownMenu.Root>
          <DropdownMenu.Trigger className="flex min-h-10.5 shrink-0 items-center gap-1.5 rounded-md bg-lifted px-3 text-[15px] hover:bg-edge">
            <Plus aria-hidden="true" className="size-4.5" /> {t`Add a section`}
          </DropdownMenu.Trigger>
          <DropdownMenu.Portal>
            <DropdownMenu.Content
              align="end"
              sideOffset={6}
              className="z-30 max-h-[60vh] min-w-44 overflow-y-auto rounded-lg border border-edge-strong bg-raised p-1.5 shadow-xl"
            >
              {[
                ...sections.map(({ key, label }) => ({ item: { kind: "section", key } as OrderItem, label })),
                { item: { kind: "blank" } as OrderItem, label: t`A blank step` },
              ].map(({ item, label }) => (
                <DropdownMenu.Item
                  key={nameOf(item)}
                  onSelect={() => onType(formatOrder([...items, item]))}
                  className="flex min-h-9 items-center gap-3 rounded-md px-3 text-[15px] outline-none data-highlighted:bg-lifted"
                >
                  <span className="w-8 font-mono font-semibold">{nameOf(item)}</span>
                  {label}
                </DropdownMenu.Item>
              ))}
            </DropdownMenu.Content>
          </DropdownMenu.Portal>
        </DropdownMenu.Root>
      </div>
      <DndContext
        sensors={sensors}
        collisionDetection={closestCenter}
        onDragEnd={onDragEnd}
        id={`${id}-order`}
      >
        <SortableContext items={ids} strategy={rectSortingStrategy}>
          <ol aria-label={t`Order as sung`} className="flex flex-wrap gap-1.5">
            {items.map((item, at) => (
              <Chip
                key={ids[at]}
                id={ids[at] as string}
                name={nameOf(item)}
                title={item.kind === "blank" ? t`Blank step` : (labels.get(item.key) ?? item.key)}
                onRemove={() => onType(formatOrder(items.filter((_, other) => other !== at)))}
              />
            ))}
          </ol>
        </SortableContext>
      </DndContext>
      {unknown.length > 0 && (
        <p role="status" className="text-[14px] text-attention">
          <span className="font-mono text-[15px] text-second">
            {markUnknown(typed, unknown).map(({ text, isUnknown, from }) =>
              isUnknown ? (
                <mark
                  key={from}
                  className="bg-transparent text-attention underline decoration-wavy decoration-1 underline-offset-4"
                >
                  {text}
                </mark>
              ) : (
                text
              ),
            )}
          </span>
          {"  "}
          {t`${
            unknown.length === 1
              ? t`What is marked names no section and is`
              : t`Those that are marked name no section and are`
          } left out. The letters are ${sections.map(({ key }) => key).join(", ")}.`}
        </p>
      )}
    </div>
  );
}

/** The typed order in pieces, those that name no section marked where they stand. */
function markUnknown(typed: string, unknown: readonly UnknownToken[]) {
  const pieces: { text: string; isUnknown: boolean; from: number }[] = [];
  let at = 0;
  for (const { from, to } of unknown) {
    pieces.push({ text: typed.slice(at, from), isUnknown: false, from: at });
    pieces.push({ text: typed.slice(from, to), isUnknown: true, from });
    at = to;
  }
  return [...pieces, { text: typed.slice(at), isUnknown: false, from: at }];
}

const nameOf = (item: OrderItem) => (item.kind === "blank" ? "–" : item.key);

function Chip({
  id,
  name,
  title,
  onRemove,
}: {
  id: string;
  name: string;
  title: string;
  onRemove: () => void;
}) {
  const sortable = useSortable({ id });
  return (
    <li
      ref={sortable.setNodeRef}
      style={{ transform: CSS.Translate.toString(sortable.transform), transition: sortable.transition }}
      className={sortable.isDragging ? "z-10 opacity-80" : ""}
    >
      <button
        type="button"
        title={t`${title}: drag to move, Delete takes it out`}
        {...sortable.attributes}
        {...sortable.listeners}
        onKeyDown={(event) => {
          if (event.key === "Delete" || event.key === "Backspace") {
            event.preventDefault();
            event.stopPropagation();
            onRemove();
          } else sortable.listeners?.onKeyDown?.(event);
        }}
        className="min-h-8 min-w-8 cursor-grab rounded bg-lifted px-2.5 font-mono text-[15px] font-semibold hover:bg-edge"
      >
        {name}
      </button>
    </li>
  );
}
