import { closestCenter, DndContext, type DragEndEvent } from "@dnd-kit/core";
import { arrayMove, SortableContext, useSortable, verticalListSortingStrategy } from "@dnd-kit/sortable";
import { CSS } from "@dnd-kit/utilities";
import { GripVertical, Play, Repeat } from "lucide-react";
import { t } from "../../core/language/t.ts";
import type { ClipView } from "../../core/wire/followView.ts";
import { useDesk, useDeskStore } from "../desk/deskContext.ts";
import { formatLength } from "../ui/format.ts";
import { useListSensors } from "../ui/useListSensors.ts";
import { ClipLeft } from "./ClipClock.tsx";
import { editClips } from "./editClips.ts";

/** The clips in the order in which they play: dragged into another, chosen, or begun. */
export function ClipList({
  chosenId,
  onChoose,
}: {
  chosenId: string | undefined;
  onChoose: (id: string) => void;
}) {
  const store = useDeskStore();
  const { follow } = useDesk("follow");
  const clips = follow?.clips ?? [];
  const sensors = useListSensors();
  const ids = clips.map(({ id }) => id);
  const drop = ({ active, over }: DragEndEvent) => {
    const [from, to] = [active.id, over?.id].map((id) => ids.indexOf(String(id)));
    if (from === undefined || to === undefined || from < 0 || to < 0 || from === to) return;
    void editClips(store, { kind: "order", ids: arrayMove(ids, from, to) });
  };
  return (
    <DndContext sensors={sensors} collisionDetection={closestCenter} onDragEnd={drop}>
      <SortableContext items={ids} strategy={verticalListSortingStrategy}>
        <ol aria-label={t`Clips`} className="flex min-h-0 flex-1 flex-col gap-1 overflow-y-auto px-3 pb-4">
          {clips.map((clip, index) => (
            <Row
              key={clip.id}
              clip={clip}
              number={index + 1}
              isChosen={clip.id === chosenId}
              onChoose={() => onChoose(clip.id)}
            />
          ))}
        </ol>
      </SortableContext>
    </DndContext>
  );
}

function Row({
  clip,
  number,
  isChosen,
  onChoose,
}: {
  clip: ClipView;
  number: number;
  isChosen: boolean;
  onChoose: () => void;
}) {
  const store = useDeskStore();
  const { state } = useDesk("state");
  const { attributes, listeners, setNodeRef, transform, transition } = useSortable({ id: clip.id });
  const play = state.clip?.clipId === clip.id ? state.clip : null;
  return (
    <li
      ref={setNodeRef}
      style={{ transform: CSS.Transform.toString(transform), transition }}
      className={`flex items-center gap-1 rounded-lg border-2 p-1 ${isChosen ? "border-act bg-act-ground" : "border-edge bg-ground"}`}
    >
      <button
        type="button"
        aria-label={t`Move “${clip.title}”`}
        className="grid size-9 shrink-0 cursor-grab place-content-center rounded-md text-second hover:bg-lifted"
        {...attributes}
        {...listeners}
      >
        <GripVertical aria-hidden="true" className="size-4" />
      </button>
      <button
        type="button"
        aria-pressed={isChosen}
        onClick={onChoose}
        className="flex min-h-11 min-w-0 flex-1 items-center gap-2.5 rounded-md px-1.5 text-left hover:bg-lifted"
      >
        <span className="w-5 shrink-0 text-right font-mono text-[14px] text-second">{number}</span>
        <span className="min-w-0 flex-1">
          <span className="block truncate text-[16px] font-semibold">{clip.title}</span>
          <span className="flex items-center gap-2 text-[14px] text-second">
            {clip.lengthMs === null ? (
              <span className="text-attention">{t`not in the library any more`}</span>
            ) : (
              <span>{formatLength(clip.lengthMs)}</span>
            )}
            {clip.atEnd === "loop" && <Repeat aria-label={t`goes round and round`} className="size-3.5" />}
            {clip.atEnd === "next" && <span>{t`then the next`}</span>}
          </span>
        </span>
        {play && <ClipLeft play={play} className="shrink-0 text-[19px]" />}
      </button>
      <button
        type="button"
        aria-label={t`Play “${clip.title}”`}
        title={t`Play “${clip.title}”`}
        disabled={clip.lengthMs === null}
        onClick={() => store.air.press({ kind: "clip", does: { kind: "play", clipId: clip.id } })}
        className={`grid size-10 shrink-0 place-content-center rounded-md disabled:text-quiet ${play && !play.isOver ? "border-2 border-air" : "bg-lifted hover:bg-edge"}`}
      >
        <Play aria-hidden="true" className="size-5" />
      </button>
    </li>
  );
}
